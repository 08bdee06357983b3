<x-layout title="That went wrong on our side" quiet>
    <h1>That went wrong on our side</h1>
    <p>Nothing was half saved. Go back and try again; if it happens again, tell whoever looks after the server.</p>
    <p><a class="btn btn-primary" href="/">To the season</a></p>
</x-layout>
