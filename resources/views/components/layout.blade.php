@props(['title', 'quiet' => false])
@include('layouts.app', ['title' => $title, 'slot' => $slot, 'quiet' => $quiet])
