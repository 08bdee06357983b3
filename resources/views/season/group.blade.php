<x-wall :months="$months" :width="$width" :rows="$rows" :garden="$garden" />
