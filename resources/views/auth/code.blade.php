<x-layout title="The code" quiet>
    <div class="door">
        <h1>The code</h1>
        <p class="soft">Your password was right. Type the six figures that your phone shows for Pruning Hook now, or one
            of the codes on paper.</p>
        <form method="post" action="{{ route('login.answer') }}" novalidate>
            @csrf
            <x-field name="code" label="Code" autocomplete="one-time-code" autocapitalize="none" spellcheck="false"
                required autofocus />
            <button class="btn btn-primary w-100">Sign in</button>
        </form>
        <p class="mt-3"><a href="{{ route('login') }}">Begin again</a></p>
        <p class="soft">Phone and paper are lost? A planner can let you in by password alone.</p>
    </div>
</x-layout>
