<x-layout title="Not yours to change" quiet>
    <h1>Not yours to change</h1>
    <p>This belongs to the planner or to the lead of its crew. Ask one of them, or go back.</p>
    <p><a class="btn btn-primary" href="/">To the season</a></p>
</x-layout>
