<x-layout title="Not in the book" quiet>
    <h1>Not in the book</h1>
    <p>Nothing is kept at this address. It may have been taken out, or the link may be misspelt.</p>
    <p><a class="btn btn-primary" href="/">To the season</a></p>
</x-layout>
