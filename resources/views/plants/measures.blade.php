<form method="post" action="{{ route('plants.measure', $plant) }}" x-ref="form"
    x-on:input="redraw()" class="measures no-print">
    @csrf @method('put')<input type="hidden" name="task" value="{{ $task->key }}">
    <x-version :of="$plant" />
    <div><label class="soft" for="m-height">Height, cm</label><input class="form-control"
        type="number" step="5" id="m-height" name="height_cm" value="{{ $stands->heightMm ?
        intdiv($stands->heightMm, 10) : '' }}" placeholder="{{ intdiv($kind->typicalHeightMm,
        10) }}"></div>
    @if ($task->isCutToFlower())<div><label class="soft" for="m-flowers">Flowers wanted at,
        cm</label><input class="form-control" type="number" step="5" id="m-flowers"
        name="flowering_height_cm" value="{{ $plant->flowering_height_mm ?
        intdiv($plant->flowering_height_mm, 10) : '' }}"></div>@endif
    @if ($task->countsOldStems())
        <div><label class="soft" for="m-old">Old stems</label><input class="form-control"
            type="number" id="m-old" name="stems_old" value="{{ $stands->stems?->old }}"></div>
        <div><label class="soft" for="m-young">Young stems</label><input class="form-control"
            type="number" id="m-young" name="stems_young"
            value="{{ $stands->stems?->young }}"></div>
    @endif
    <p class="wrong-note w-100 mb-0" x-show="said" x-cloak x-text="said" aria-live="polite"></p>
    @can('update', $plant)<button class="btn btn-quiet">Keep</button>@endcan
    @error('sure')<label class="form-check w-100"><input class="form-check-input" type="checkbox"
        name="sure" value="1"> <span class="form-check-label">I am sure: it is right as it
        stands.</span></label>@enderror
    @foreach (['height_cm', 'flowering_height_cm', 'stems_old', 'stems_young'] as $field)
        @error($field)<p class="invalid-feedback d-block w-100">{{ $message }}</p>@enderror
    @endforeach
</form>
