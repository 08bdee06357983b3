<x-layout title="The page has been open too long" quiet>
    <h1>The page has been open too long</h1>
    <p>Go back, load the page again and send it once more.</p>
    <p><a class="btn btn-primary" href="/">To the season</a></p>
</x-layout>
