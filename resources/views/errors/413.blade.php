@extends('errors.plain')
@section('title', 'Too large to be sent')
@section('says')
    What was sent is larger than 20 MB. A picture is made smaller on the phone before it is sent; go
    back and take it from there.
@endsection
