<p>Dear {{ $garden->client }},</p>
<p>what we do in {{ $garden->name }} in the months to come, when, and why it looks bare for a while, stands on your own
    page. You can agree to a day there, ask to move it, or ask us anything:</p>
<p><a href="{{ $link }}">{{ $link }}</a></p>
<p>{{ $firm }}</p>
