<x-layout title="No signal">
    <h1>No signal</h1>
    <p>This page is not on this phone. Today's round and its sheets are, once the round was opened with signal:
        <a href="{{ route('round') }}">to the round</a>.</p>
    <p>What you have logged is saved on this phone and sent when the signal is back.</p>
</x-layout>
