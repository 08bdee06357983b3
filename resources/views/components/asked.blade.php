@props(['field'])
@if ($field['type'] === 'choice')
    <x-field :name="$field['name']" :label="$field['label']" :value="$field['value']"
        :options="$field['options']" empty="not said" :help="$field['help'] ?? null" />
@else
    <x-field :name="$field['name']" :label="$field['label']" :type="$field['type']" :value="$field['value']"
        :min="$field['min'] ?? null" :help="$field['help'] ?? null" />
@endif
