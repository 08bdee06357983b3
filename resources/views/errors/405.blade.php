@extends('errors.plain')
@section('title', 'Not that way')
@section('says')
    This address takes no such request. Go back and use the page you came from.
@endsection
