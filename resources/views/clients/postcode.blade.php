<x-layout title="Your garden" quiet>
    <div class="door">
        <h1>Your garden</h1>
        <p class="soft">Please enter the postcode of your garden, so that nobody else reads this page.</p>
        <form method="post" action="{{ route('client.say', $token) }}" novalidate>
            @csrf
            <div class="mb-3">
                <label class="form-label" for="postcode">Postcode</label>
                <input @class(['form-control', 'is-invalid' => $wrong !== null]) id="postcode" name="postcode"
                    maxlength="20" autocomplete="postal-code"
                    @if ($wrong !== null) aria-describedby="postcode-wrong" @endif>
                @if ($wrong !== null)<div class="invalid-feedback d-block" id="postcode-wrong">{{ $wrong }}</div>@endif
            </div>
            <button class="btn btn-primary w-100">Open</button>
        </form>
    </div>
</x-layout>
