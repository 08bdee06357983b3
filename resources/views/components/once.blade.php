{{-- Sent twice, it makes one. --}}
<input type="hidden" name="_once" value="{{ Illuminate\Support\Str::uuid() }}">
