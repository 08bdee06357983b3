<p>Hello {{ $name }},</p>
<p>You signed in to Pruning Hook on a {{ $device }} where you never had before, on {{ $when }}.</p>
<p>If that was you, there is nothing to do. If it was not, choose a new password at once: that signs everybody else
    out.</p>
<p>{{ $link }}</p>
