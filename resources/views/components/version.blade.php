@props(['of'])
{{-- Which version the form was made of: saved over another's, it is shown beside it first. --}}
@if ($of->exists)<input type="hidden" name="_version" value="{{ App\Ground\Models\Change::last($of) }}">@endif
@error('stale')<div class="said wrong" role="alert">{{ $message }}</div>@enderror
