@extends('errors.plain')
@section('title', 'Too many tries')
@section('says')
    Wait a minute, then try again. Nothing was changed.
@endsection
