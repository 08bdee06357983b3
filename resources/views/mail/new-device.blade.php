<p>Hello {{ $name }},</p>
<p>Your account was used to sign in to Pruning Hook on a new {{ $device }} on {{ $when }}.</p>
<p>If this was you, there is nothing to do. If not, change your password now; that signs out everyone else:</p>
<p>{{ $link }}</p>
