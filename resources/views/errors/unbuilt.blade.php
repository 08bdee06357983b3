@extends('errors.plain')
@section('title', 'Not quite installed')
@section('says')
    The office is there, but its styles and scripts are missing. Whoever runs it builds them with
    <code>npm ci &amp;&amp; npm run build</code>; <code>./hook doctor</code> tells what else is missing.
@endsection
