<x-layout title="This cannot be worked out" quiet>
    <h1>This cannot be worked out</h1>
    <p>{{ $says }}</p>
    <p>Nothing was changed. <a class="btn btn-quiet" href="{{ url()->previous('/') }}">Back</a>
        <a class="btn btn-primary" href="/">To the season</a></p>
</x-layout>
