@use('App\Ground\Bridge\NormalsText')
@php($title = $garden->exists ? 'Edit '.$garden->name : 'Add a garden')
<x-layout :title="$title">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a></p>
    <h1>{{ $title }}</h1>
    <form method="post" action="{{ $garden->exists ? route('gardens.update', $garden)
        : route('gardens.store') }}" class="to-56" novalidate enctype="multipart/form-data">
        @csrf<x-version :of="$garden" /> @unless ($garden->exists)<x-once />@endunless
        @if ($garden->exists) @method('put') @endif
        <fieldset><legend>Whose it is</legend>
            <div class="row">
                <div class="col-md-6"><x-field name="name" label="Name of the garden"
                    :value="$garden->name" required /></div>
                <div class="col-md-6"><x-field name="client" label="Client" :value="$garden->client" required /></div>
                <div class="col-md-6"><x-field name="address" label="Address" :value="$garden->address" /></div>
                <div class="col-md-6"><x-field name="crew_id" label="Crew" :value="$garden->crew_id"
                    :options="$crews" empty="no crew yet" /></div>
            </div>
        </fieldset>
        <x-part name="site-year" />
        <fieldset x-data="siteYear(@js(route('site-year')))" x-on:change="draw()"><legend>The site's year</legend>
            <div class="row">
                <div class="col-md-4"><x-field name="latitude" label="Latitude"
                    :value="$garden->latitude" required help="Degrees; south is negative." inputmode="decimal" /></div>
                <div class="col-md-4"><x-field name="longitude" label="Longitude"
                    :value="$garden->longitude" required help="Degrees; west is negative." inputmode="decimal" /></div>
                <div class="col-md-4"><x-field name="elevation_m" label="Height above the sea, m"
                    :value="$garden->elevation_m" required inputmode="numeric" /></div>
                <div class="col-md-4"><x-field name="last_frost" label="Average last spring frost"
                    :value="$garden->last_frost" help="Month and day, as 04-22. Empty only where the winter is warm."
                    /></div>
                <div class="col-md-4"><x-field name="first_frost" label="Average first autumn frost"
                    :value="$garden->first_frost" help="Month and day, as 10-28." /></div>
                <div class="col-md-4"><x-field name="winter" label="Winter" :value="$garden->winter"
                    :options="['cold' => 'Cold: roses die back', 'cool' => 'Cool: plants rest, little dies back', 'warm'
                    => 'Warm: no real rest']" empty="as its coldest month says" /></div>
                <div class="col-md-8"><x-field name="normals" label="Mean of each month, °C" :value="$garden->normals
                    === null ? '' : NormalsText::write($garden->normals)" help="Twelve figures, January to
                    December, where somebody has measured them. Left empty, the year is carried from the nearest
                    station." /></div>
                <div class="col-md-4"><x-field name="normals_file" type="file" label="or from a CSV file"
                    help="A line for each month: its number or name, and the mean." accept=".csv,.txt,text/csv" /></div>
                <div class="col-md-4"><x-field name="region" label="Region, for diseases and closures"
                    :value="$garden->region" :options="$regions" :empty="$guess ? 'by its place: '.$guess
                    : 'by its place'" /></div>
                @error('sure')<div class="col-12"><label class="form-check"><input class="form-check-input"
                    type="checkbox" name="sure" value="1"> <span class="form-check-label">I am sure: the place and its
                    frosts are right as they stand.</span></label></div>@enderror
            </div>
            <div x-ref="year" aria-live="polite">@if ($year)<x-site-year :chart="$year['chart']"
                :winter="$year['winter']" />@endif</div>
            <p class="wrong-note" x-show="said" x-cloak x-text="said" aria-live="polite"></p>
        </fieldset>
        <x-part name="frost" />
        <div class="mb-3" x-data="frost(@js(route('frost')), @js($garden->id))">
            <button type="button" class="btn btn-quiet" @click="carry" :disabled="busy">Use frost dates from the
                nearest garden or station</button>
            <p class="form-text mb-0" x-text="says" aria-live="polite"></p>
        </div>
        <fieldset><legend>The client</legend>
            <div class="row">
                <div class="col-md-6"><x-field name="client_email" label="E-mail address" type="email"
                    :value="$garden->client_email" autocomplete="off" help="The season's letter goes there." /></div>
                <div class="col-md-6"><x-field name="client_phone" label="Telephone" type="tel"
                    :value="$garden->client_phone" autocomplete="off" help="For text messages." /></div>
                <div class="col-md-6"><x-field name="postcode" label="Postcode" :value="$garden->postcode"
                    autocomplete="off" maxlength="12" help="If you enter one, the client is asked for it before their
                    page opens." /></div>
                <div class="col-12"><x-field name="wishes" label="Wishes" type="textarea"
                    :value="$garden->wishes" /></div>
                <div class="col-md-6"><x-field name="photos_ok" label="Photos of the garden" :value="$garden->photos_ok
                    === null ? '' : (int) $garden->photos_ok" :options="['1' => 'may be taken and shown to the client',
                    '0' => 'not wanted']" empty="nobody has asked yet" /></div>
            </div>
        </fieldset>
        <fieldset><legend>For the plan</legend>
            <x-field name="setup_minutes" label="Set-up of each visit, minutes" :value="$garden->setup_minutes" required
                inputmode="numeric" width="to-18" help="Unloading, sweeping up, a word with the client." />
            <x-weekdays name="closed_days" label="Weekdays on which nobody may come" :value="$garden->closed_days" />
            <x-weekdays name="wished_days" label="Weekdays asked for, where any"
                :value="$garden->wished_days" />
        </fieldset>
        <fieldset><legend>For the crew</legend>
            <x-field name="notes" label="Notes: keys, dogs, water, wishes" type="textarea" :value="$garden->notes" />
            <x-practice :questions="$questions" :practice="$garden->practice" elsewhere="as the house practice" />
        </fieldset>
        <div class="d-flex gap-2 mt-3"><button class="btn btn-primary">Save</button><a class="btn btn-quiet"
            href="{{ $garden->exists ? route('gardens.show', $garden) : route('gardens.index') }}">Cancel</a></div>
    </form>
    @if ($garden->exists && $garden->archived_on === null)
        @can('archive', $garden)
            <h2>Where we work no more</h2>
            <p class="to-56">An archived garden leaves the season, the plan and the lists; its plants and its record
                stay, and it can be brought back.</p>
            <form method="post" action="{{ route('gardens.archive', $garden) }}">@csrf<button
                class="btn btn-quiet">Archive {{ $garden->name }}</button></form>
        @endcan
    @endif
    @if ($garden->exists)
        @can('archive', $garden)
            <details class="mt-3"><summary>Erase the client's data</summary>
                <p class="to-56">Name, e-mail address, telephone, wishes, messages and letters are erased for good, and
                    the client's page is closed. The garden and its record stay; so do names in notes, and in backups
                    made before.</p>
                <form method="post" action="{{ route('gardens.erase-client', $garden) }}">@csrf<button
                    class="btn btn-quiet">Erase {{ $garden->client }}</button></form></details>
        @endcan
    @endif
</x-layout>
