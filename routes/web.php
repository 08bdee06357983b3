<?php

declare(strict_types=1);

use App\Exercise\ExercisesController;
use App\Exercise\SignOffController;
use App\Field\Record\EntryController;
use App\Field\Record\PhotoController;
use App\Field\Record\RecordController;
use App\Field\Record\UnplacedController;
use App\Field\Record\WorkLogController;
use App\Field\VisitController;
use App\Gardens\FrostController;
use App\Gardens\GardenController;
use App\Gardens\LabelController;
use App\Gardens\Plants\BloomController;
use App\Gardens\Plants\CoursesController;
use App\Gardens\Plants\DrawingController;
use App\Gardens\Plants\PlantController;
use App\Gardens\Plants\PlantListController;
use App\Gardens\SiteYearController;
use App\Gardens\Stems\StemController;
use App\Ground\History\ChangeController;
use App\Ground\History\NotesExport;
use App\Ground\History\SecurityController;
use App\Ground\Support\PolicyReportController;
use App\Ground\Support\UpController;
use App\Ground\Upkeep\RetentionController;
use App\Io\Api\IntegrationController;
use App\Io\Api\TokenController;
use App\Io\Calendar\FeedController;
use App\Io\Csv\Tables;
use App\Io\ExportController;
use App\Io\FileController;
use App\Io\Webhooks\WebhookController;
use App\Knowledge\FindController;
use App\Knowledge\OwnKindController;
use App\Knowledge\PlantBookController;
use App\Knowledge\SchoolsController;
use App\Office\Clients\AsksForPostcode;
use App\Office\Clients\ClientController;
use App\Office\Clients\LetterController;
use App\Office\Messages\PostController;
use App\Office\Reports\HoursBy;
use App\Office\Reports\ReportController;
use App\People\AccountController;
use App\People\CrewController;
use App\People\ForgotPasswordController;
use App\People\LoginController;
use App\People\PeopleController;
use App\People\PinController;
use App\People\ResetPasswordController;
use App\People\SecondStepController;
use App\People\WelcomeController;
use App\Planning\DraftController;
use App\Planning\PlanController;
use App\Planning\RoundController;
use App\Season\SearchController;
use App\Season\SeasonController;
use App\Season\Weather\ObservationController;
use Illuminate\Support\Facades\Route;

// A number that no row can have leads nowhere; it is not asked for.
$rows = ['garden', 'plant', 'visit', 'task', 'crew', 'observation', 'note', 'draft', 'off', 'version', 'change',
    'answer', 'person', 'sign_off', 'import', 'feed', 'word', 'device', 'entry', 'access_token',
    'webhook'];
foreach ($rows as $row) {
    Route::pattern($row, '[0-9]{1,18}');
}
Route::pattern('case', '[a-z0-9-]{1,60}');

Route::get('up', UpController::class)->withoutMiddleware('web');
// What a browser was kept from doing; it has neither a session nor a token to send with it.
Route::post('policy-report', PolicyReportController::class)->withoutMiddleware('web')
    ->middleware('throttle:30,1,policy')
    ->name('policy-report');

Route::middleware('guest')->group(function (): void {
    Route::get('sign-in', [LoginController::class, 'showLoginForm'])->name('login');
    Route::post('sign-in', [LoginController::class, 'login']);
    Route::get('sign-in/code', [SecondStepController::class, 'ask'])->name('login.code');
    Route::post('sign-in/code', [SecondStepController::class, 'answer'])->name('login.answer');
    Route::get('forgotten', [ForgotPasswordController::class, 'showLinkRequestForm'])->name('password.request');
    Route::post('forgotten', [ForgotPasswordController::class, 'sendResetLinkEmail'])
        ->middleware('throttle:6,1')
        ->name('password.email');
    Route::get('new-password/{token}', [ResetPasswordController::class, 'showResetForm'])->name('password.reset');
    Route::post('new-password', [ResetPasswordController::class, 'reset'])
        ->middleware('throttle:12,1')
        ->name('password.update');
});

// Who share a phone change places by PIN, signed in or not.
Route::get('change-person', [PinController::class, 'show'])->name('change-person');
Route::post('change-person', [PinController::class, 'change'])->middleware('throttle:30,1,pin')
    ->name('change-person.in');

// Whoever is invited comes in by the link of a letter.
Route::get('welcome/{person}', [WelcomeController::class, 'show'])->name('welcome');
Route::post('welcome/{person}', [WelcomeController::class, 'store'])->middleware('throttle:12,1,welcome');

// A client's own page, by the link of a letter.
Route::prefix('client/{token}')->where(['token' => '[A-Za-z0-9]{40}'])
    ->middleware(['throttle:120,1,client', AsksForPostcode::class])
    ->group(function (): void {
        Route::get('', [ClientController::class, 'show'])->name('client');
        Route::post('', [ClientController::class, 'say'])->middleware('throttle:12,1,client-say')->name('client.say');
        Route::get('visits/{visit}', [ClientController::class, 'report'])->name('client.report');
        Route::get('photos/{photo}', [ClientController::class, 'photo'])->name('client.photo');
    });

// Calendars keep up with the visits by a link nobody guesses.
Route::get('calendar/{token}.ics', [FeedController::class, 'show'])->where('token', '[A-Za-z0-9]{40}')
    ->middleware('throttle:120,1,calendar')->withoutMiddleware('web')->name('feed');

// What a phone shows of a page it does not hold, without signal.
Route::view('offline', 'offline')->name('offline');

Route::middleware('auth')->group(function (): void {
    Route::post('sign-out', [LoginController::class, 'logout'])->name('logout');
    Route::get('account', [AccountController::class, 'show'])->name('account');
    Route::put('account/password', [AccountController::class, 'password'])->name('account.password');
    Route::delete('account/devices/{device}', [AccountController::class, 'end'])->name('account.end');
    Route::post('account/sign-out', [AccountController::class, 'everywhere'])->name('account.everywhere');
    Route::get('account/data', [AccountController::class, 'data'])->middleware(NotesExport::class)
        ->name('account.data');
    Route::put('account/pin', [PinController::class, 'update'])->name('account.pin');
    Route::delete('account/pin', [PinController::class, 'destroy'])->name('account.pin.remove');
    Route::post('account/code', [SecondStepController::class, 'begin'])->name('account.code');
    Route::put('account/code', [SecondStepController::class, 'confirm'])->name('account.code.confirm');
    Route::delete('account/code', [SecondStepController::class, 'remove'])->name('account.code.remove');
    Route::put('account', [AccountController::class, 'update'])->name('account.update');
    Route::put('account/keys', [AccountController::class, 'keys'])->name('account.keys');
    Route::get('integrations', [IntegrationController::class, 'index'])->name('integrations');
    Route::post('integrations/tokens', [TokenController::class, 'store'])->name('tokens.store');
    Route::delete('integrations/tokens/{access_token}', [TokenController::class, 'destroy'])->name('tokens.destroy');
    Route::post('integrations/webhooks', [WebhookController::class, 'store'])->name('webhooks.store');
    Route::put('integrations/webhooks/{webhook}', [WebhookController::class, 'update'])->name('webhooks.update');
    Route::post('integrations/webhooks/{webhook}/test', [WebhookController::class, 'test'])
        ->middleware('throttle:20,1,webhook-test')->name('webhooks.test');
    Route::delete('integrations/webhooks/{webhook}', [WebhookController::class, 'destroy'])
        ->name('webhooks.destroy');
    Route::get('/', [SeasonController::class, 'index'])->name('season');
    Route::get('season/groups/{group}', [SeasonController::class, 'group'])->name('season.group');
    Route::get('search', [SearchController::class, 'index'])->name('search');
    Route::get('search/gardens', [SearchController::class, 'gardens'])->name('search.gardens');

    Route::get('frost-dates', [FrostController::class, 'show'])->name('frost');
    Route::get('site-year', [SiteYearController::class, 'show'])->name('site-year');
    Route::resource('gardens', GardenController::class)->except('destroy');
    Route::post('gardens/{garden}/archive', [GardenController::class, 'archive'])->name('gardens.archive');
    Route::post('gardens/{garden}/erase-client', [GardenController::class, 'eraseClient'])
        ->name('gardens.erase-client');
    Route::post('gardens/{garden}/back', [GardenController::class, 'back'])->name('gardens.back');
    Route::get('gardens/{garden}/labels', LabelController::class)->name('gardens.labels');
    Route::get('gardens/{garden}/plants/list', [PlantListController::class, 'create'])->name('plants.list');
    Route::post('gardens/{garden}/plants/list', [PlantListController::class, 'preview'])->name('plants.preview');
    Route::post('gardens/{garden}/plants/listed', [PlantListController::class, 'store'])->name('plants.plant');
    Route::resource('gardens.plants', PlantController::class)->shallow()->except('index');
    Route::get('plants/{plant}/record', [PlantController::class, 'record'])->name('plants.record');

    Route::put('plants/{plant}/seen', [PlantController::class, 'seen'])->name('plants.seen');

    Route::put('plants/{plant}/bloom', [BloomController::class, 'store'])->name('bloom.store');
    Route::delete('bloom/{note}', [BloomController::class, 'destroy'])->name('bloom.destroy');
    Route::get('plants/{plant}/drawing', [DrawingController::class, 'show'])->name('plants.drawing');
    Route::get('plants/{plant}/courses', CoursesController::class)->name('plants.courses');
    Route::permanentRedirect('plants/{plant}/future', '/plants/{plant}/courses');
    Route::put('plants/{plant}/measures', [DrawingController::class, 'update'])->name('plants.measure');
    Route::get('plants/{plant}/stems', [StemController::class, 'show'])->name('stems.show');
    Route::put('plants/{plant}/stems', [StemController::class, 'update'])->name('stems.update');
    Route::post('plants/{plant}/stems/undo', [StemController::class, 'undo'])->name('stems.undo');
    Route::post('plants/{plant}/stems/plan', [StemController::class, 'plan'])->name('stems.plan');
    Route::post('plants/{plant}/restore', [PlantController::class, 'restore'])->name('plants.restore');

    Route::get('round', [RoundController::class, 'index'])->name('round');
    Route::get('gardens/{garden}/visits/plan', [VisitController::class, 'create'])->name('visits.create');
    Route::get('gardens/{garden}/visits/common-days', [VisitController::class, 'preview'])->name('visits.preview');
    Route::post('gardens/{garden}/visits', [VisitController::class, 'store'])->name('visits.store');
    Route::get('visits/{visit}', [VisitController::class, 'show'])->name('visits.show');
    Route::put('visits/{visit}', [VisitController::class, 'update'])->name('visits.update');
    Route::delete('visits/{visit}', [VisitController::class, 'destroy'])->name('visits.destroy');

    Route::get('plan', [PlanController::class, 'show'])->name('plan');
    Route::get('plan/drafts/{draft}', [DraftController::class, 'show'])->name('drafts.show');
    Route::post('plan/drafts', [DraftController::class, 'store'])->name('drafts.store');
    Route::delete('plan/drafts/{draft}', [DraftController::class, 'destroy'])->name('drafts.destroy');
    Route::put('plan/drafts/{draft}', [DraftController::class, 'accept'])->name('drafts.accept');
    Route::post('plan/drafts/{draft}/undo', [DraftController::class, 'undo'])->name('drafts.undo');
    Route::get('plan/visits/{visit}', [PlanController::class, 'cost'])->name('plan.cost');
    Route::put('plan/visits/{visit}', [PlanController::class, 'move'])->name('plan.move');
    Route::put('plan/visits/{visit}/stand', [PlanController::class, 'stand'])->name('plan.stand');

    Route::resource('people', PeopleController::class)->only('index', 'create', 'store', 'edit', 'update')
        ->parameters(['people' => 'person']);
    Route::put('people/code', [SecondStepController::class, 'demand'])->name('people.code');
    Route::delete('people/{person}/code', [SecondStepController::class, 'lift'])->name('people.code.lift');
    Route::post('people/{person}/again', [PeopleController::class, 'again'])->name('people.again');
    Route::post('people/{person}/leave', [PeopleController::class, 'leave'])->name('people.leave');
    Route::post('people/{person}/erase', [PeopleController::class, 'erase'])->name('people.erase');
    Route::post('people/{person}/back', [PeopleController::class, 'back'])->name('people.back');
    Route::put('depot', [CrewController::class, 'depot'])->name('depot.update');
    Route::resource('crews', CrewController::class)->only('index', 'create', 'store', 'edit', 'update');
    Route::post('crews/{crew}/off', [CrewController::class, 'off'])->name('crews.off');
    Route::delete('days-off/{off}', [CrewController::class, 'on'])->name('crews.on');

    Route::get('gardens/{garden}/signs', [ObservationController::class, 'index'])->name('observations.index');
    Route::post('gardens/{garden}/signs', [ObservationController::class, 'store'])->name('observations.store');
    Route::delete('signs/{observation}', [ObservationController::class, 'destroy'])->name('observations.destroy');

    Route::get('plant-book', [PlantBookController::class, 'index'])->name('plant-book.index');
    Route::get('plant-book/find', FindController::class)->name('kinds.find');
    Route::get('plant-book/anchors', [PlantBookController::class, 'anchors'])->name('plant-book.anchors');
    Route::get('plant-book/new', [OwnKindController::class, 'create'])->name('own-kinds.create');
    Route::post('plant-book', [OwnKindController::class, 'store'])->name('own-kinds.store');
    Route::get('plant-book/{kind}/own', [OwnKindController::class, 'edit'])->name('own-kinds.edit');
    Route::put('plant-book/{kind}/own', [OwnKindController::class, 'update'])->name('own-kinds.update');
    Route::delete('plant-book/{kind}/own', [OwnKindController::class, 'destroy'])->name('own-kinds.destroy');
    Route::post('plant-book/{kind}/own/restore', [OwnKindController::class, 'restore'])->name('own-kinds.restore');
    Route::delete('own-versions/{version}', [OwnKindController::class, 'undo'])->name('own-kinds.undo');
    Route::get('plant-book/{kind}', [PlantBookController::class, 'show'])->name('plant-book.show');
    Route::get('bench', [ExercisesController::class, 'index'])->name('bench');
    Route::get('bench/answers/{answer}', [ExercisesController::class, 'answer'])->name('bench.answer');
    Route::get('bench/{case}', [ExercisesController::class, 'show'])->name('bench.show');
    Route::post('bench/{case}', [ExercisesController::class, 'store'])->name('bench.store');
    Route::post('people/{person}/sign-offs', [SignOffController::class, 'store'])->name('sign-offs.store');
    Route::delete('sign-offs/{sign_off}', [SignOffController::class, 'destroy'])->name('sign-offs.destroy');
    Route::get('house-practice', [SchoolsController::class, 'edit'])->name('practice.edit');
    Route::put('house-practice', [SchoolsController::class, 'update'])->name('practice.update');

    Route::get('files', [FileController::class, 'index'])->name('files');
    Route::post('files', [FileController::class, 'store'])->name('files.store');
    Route::get('files/{import}', [FileController::class, 'show'])->name('files.show');
    Route::put('files/{import}', [FileController::class, 'accept'])->name('files.accept');
    Route::post('files/{import}/back', [FileController::class, 'back'])->name('files.back');
    Route::delete('files/{import}', [FileController::class, 'destroy'])->name('files.destroy');
    Route::middleware(NotesExport::class)->group(function (): void {
        Route::get('export/logs', [ExportController::class, 'logs'])->name('export.logs');
        Route::get('export/calendar', [ExportController::class, 'calendar'])->name('export.calendar');
        Route::get('export/places', [ExportController::class, 'places'])->name('export.places');
        Route::get('export/firm', [ExportController::class, 'firm'])->name('export.firm');
        Route::get('export/{of}', [ExportController::class, 'table'])->whereIn('of', array_keys(Tables::OF))
            ->name('export');
    });
    Route::post('feeds', [FeedController::class, 'store'])->name('feeds.store');
    Route::delete('feeds/{feed}', [FeedController::class, 'destroy'])->name('feeds.destroy');
    Route::get('gardens/{garden}/letter', [LetterController::class, 'show'])->name('letters.show');
    Route::post('gardens/{garden}/letter', [LetterController::class, 'send'])->name('letters.send');
    Route::delete('gardens/{garden}/letter', [LetterController::class, 'shut'])->name('letters.shut');
    Route::get('visits/{visit}/report', [LetterController::class, 'report'])->name('reports.show');
    Route::put('words/{word}', [LetterController::class, 'heard'])->name('words.heard');
    Route::get('reports', [ReportController::class, 'show'])->name('reports');
    Route::post('reports', [ReportController::class, 'store'])->name('reports.store');
    Route::get('reports/{season}/{of}', [ReportController::class, 'table'])->where('season', '[0-9]{4}')
        ->whereIn('of', [...array_column(HoursBy::cases(), 'value'), 'windows', 'waste', 'renewal', 'findings'])
        ->name('reports.table');
    Route::get('post', [PostController::class, 'index'])->name('post');
    Route::get('changes', [ChangeController::class, 'index'])->name('changes');
    Route::post('changes/{change}/undo', [ChangeController::class, 'undo'])->name('changes.undo');
    Route::get('retention', [RetentionController::class, 'show'])->name('retention');
    Route::put('retention', [RetentionController::class, 'update'])->name('retention.update');
    Route::get('security', SecurityController::class)->name('security');
    Route::get('record', [RecordController::class, 'index'])->name('record');
    Route::get('record/compare', [RecordController::class, 'compare'])->name('record.compare');
    Route::get('entries/who', [EntryController::class, 'who'])->name('entries.who');
    Route::post('entries', [EntryController::class, 'store'])->name('entries.store');
    Route::get('unplaced', [UnplacedController::class, 'index'])->name('unplaced');
    Route::put('unplaced/{entry}', [UnplacedController::class, 'update'])->name('unplaced.update');
    Route::delete('unplaced/{entry}', [UnplacedController::class, 'destroy'])->name('unplaced.destroy');
    Route::post('photos', [PhotoController::class, 'store'])->name('photos.store');
    Route::get('photos/{photo}', [PhotoController::class, 'show'])->name('photos.show');
    Route::delete('photos/{photo}', [PhotoController::class, 'destroy'])->name('photos.destroy');
    Route::put('tasks/{task}/log', [WorkLogController::class, 'store'])->name('logs.store');
    Route::delete('tasks/{task}/log', [WorkLogController::class, 'destroy'])->name('logs.destroy');
});
