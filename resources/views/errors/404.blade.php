@extends('errors.plain')
@section('title', 'Not in the book')
@section('says')
    Nothing is kept at this address. It may have been taken out, or the link may be misspelt.
@endsection
