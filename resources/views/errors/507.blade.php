@extends('errors.plain')
@section('title', 'The disk is full')
@section('says')
    Nothing was kept. Pages can still be read, but nothing can be saved until whoever runs the office has made room.
    What you have logged on your phone waits there and is sent again by itself.
@endsection
