@props(['photos', 'of'])
@if (count($photos) > 0)
    <ul class="pictures">@foreach ($photos as $photo)<li><a href="{{ route('photos.show', $photo) }}"><img
        src="{{ route('photos.show', [$photo, 'small' => 1]) }}" alt="{{ $of }} {{ $photo->moment }} the work"
        width="{{ $photo->width }}" height="{{ $photo->height }}" loading="lazy"></a></li>@endforeach</ul>
@endif
