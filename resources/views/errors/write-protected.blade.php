@extends('errors.plain')
@section('title', 'Nothing can be saved at the moment')
@section('says')
    The office's database cannot be written to. Nothing was kept; pages can still be read. Whoever runs the office finds
    out why with <code>./hook doctor</code>. What you have logged on your phone waits there and is sent again by itself.
@endsection
