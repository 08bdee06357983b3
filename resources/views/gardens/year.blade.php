<x-site-year :chart="$chart" :winter="$winter" />
