@props(['questions', 'practice', 'elsewhere'])
<details @if ($practice !== [] || $errors->has('practice.*')) open @endif>
    <summary>Schools that differ here</summary>
    <div class="row">
        @foreach ($questions as $question)
            <div class="col-md-6"><x-field :name="'practice['.$question->key.']'" :label="$question->name"
                :value="$practice[$question->key] ?? null" :options="array_map('ucfirst', $question->options)"
                :empty="$elsewhere" /></div>
        @endforeach
    </div>
</details>
