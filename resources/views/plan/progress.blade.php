@use('App\Ground\Models\DraftStatus')
<div data-under-way="{{ $draft->status->isUnderWay() ? 1 : 0 }}">
    <p class="mb-1">{{ ucfirst($draft->says ?? 'waiting for its turn') }}</p>
    @if ($draft->status === DraftStatus::Accepting)
        <progress max="100" value="{{ (int) (100 * $draft->share) }}" aria-label="The changes are being made">{{
            (int) (100 * $draft->share) }} %</progress>
        <p class="soft">They are made all at once, or none of them. This page shows when they are.</p>
    @else
        <progress max="100" value="{{ (int) (100 * $draft->share) }}" aria-label="How far the plan is">{{ (int) (100 *
            $draft->share) }} %</progress>
        <form class="mt-3" method="post" action="{{ route('drafts.destroy', $draft) }}">@csrf @method('delete')<button
            class="btn btn-quiet">Cancel</button></form>
    @endif
</div>
