<p>Hello {{ $name }},</p>
<p>somebody, probably you, asked for a new password for Pruning Hook. This link lets you choose one within the hour:</p>
<p><a href="{{ $link }}">{{ $link }}</a></p>
<p>If it was not you, do nothing: your password stays as it is.</p>
