<p>Hello {{ $name }},</p>
<p>{{ $firm }} plans and records its pruning in Pruning Hook, and has put you in its book. This link lets you choose a
    password and come in; it works once, within {{ $days }} days:</p>
<p><a href="{{ $link }}">{{ $link }}</a></p>
<p>If you do not work there, do nothing.</p>
