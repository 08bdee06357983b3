@extends('errors.plain')
@section('title', 'Not under this name')
@section('says')
    This address was asked for in a way that cannot be answered. Use the address you were given for the office.
@endsection
