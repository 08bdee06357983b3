@extends('errors.plain')
@section('title', 'Back in a moment')
@section('says')
    The office is being brought up to date, or is busy. What you have logged on your phone waits there
    and is sent by itself. Nothing was half saved: go back and send it again in a minute.
@endsection
