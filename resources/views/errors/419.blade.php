@extends('errors.plain')
@section('title', 'The page has been open too long')
@section('says')
    Go back, load the page again and send it once more. What you had filled in is still in the form.
@endsection
