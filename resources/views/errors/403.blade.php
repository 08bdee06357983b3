@extends('errors.plain')
@section('title', 'Not yours to change')
@section('says')
    This belongs to the planner or to the lead of its crew. Ask one of them, or go back.
@endsection
