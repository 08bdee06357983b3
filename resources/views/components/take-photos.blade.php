@props(['task'])
{{-- Pictures before and after the work: they lie on the phone until they are sent, after all that was said. --}}
<div class="photos no-print" x-ignore>
    <div x-data="pictures({{ $task->id }})">
        @foreach (App\Ground\Models\Photo::MOMENTS as $moment)<label class="btn btn-quiet">Photo {{ $moment }}<input
            type="file" accept="image/*" capture="environment" class="visually-hidden" data-moment="{{ $moment }}"
            @change="picture($event)"></label>@endforeach
        <p class="invalid-feedback d-block" role="alert" x-show="wrong" x-text="wrong" x-cloak></p>
        <ul class="pictures"><template x-for="each in kept" :key="each.id"><li><img :src="each.url"
            :alt="each.says"></li></template></ul>
    </div>
</div>
