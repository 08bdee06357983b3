<x-layout :title="'Stems of '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Survey and judge</h1>
    <x-part name="board" />
    <div x-data="board(@js(route('stems.show', $plant)), @js(route('stems.undo',
        $plant)), @js(csrf_token()), @js('survey-'.$plant->id))" x-on:submit="submit($event)"
        x-on:click="select($event)">
        <p class="said wrong" x-show="said" x-cloak x-text="said" aria-live="polite"></p>
        <div x-ref="board">@include('stems.board')</div>
    </div>
</x-layout>
