@props(['drawn', 'name'])
<x-portrait :p="$drawn->portrait" :name="$name" :cut-mm="$drawn->cutMm" :flowers-mm="$drawn->flowersMm" />
<p class="soft mb-1">{{
    Say::prose(ucfirst($drawn->says)) }}. To scale, from the south; green is the last season's wood, brown
    the one before, grey older{{ $drawn->isCut ? '; broken and rust is what goes' : '' }}{{
    $drawn->isInsured() ? '; dotted is kept in case other canes die' : '' }}. Based on
    {{ $drawn->restsOn }}.</p>
