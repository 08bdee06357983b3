@props(['drawn'])
@if ($drawn->arm)<x-vine-arm :arm="$drawn->arm" />
@elseif ($drawn->wall)<x-wall-picture :w="$drawn->wall" />
@else<x-elevation :e="$drawn->elevation" />@endif
