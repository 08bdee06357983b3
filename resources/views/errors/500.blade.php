@extends('errors.plain')
@section('title', 'That went wrong on our side')
@section('says')
    Nothing was half saved. Go back and try again; if it happens again, tell whoever looks after the
    server.
@endsection
