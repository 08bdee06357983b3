<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Ground\Support\Today;
use Illuminate\Support\Facades\DB;

/**
 * The pages that are measured, by the name they are printed under: every page of the product, in a firm of any size.
 */
final readonly class Pages
{
    /** Signed in, with nothing on it but the frame: what every page costs at least. */
    public const EMPTY = '/search';

    /** @return array<string, string> address by name */
    public static function all(): array
    {
        $garden = (int) DB::table('gardens')->orderBy('id')->skip(1)->value('id');
        $plant = (int) DB::table('plants')->where('garden_id', $garden)->orderBy('id')->value('id');
        $sheet = (int) DB::table('visits')->where('on', '>=', (string) Today::day())->orderBy('on')->value('id');
        $crew = (int) DB::table('crews')->min('id');
        $task = DB::table('season_tasks')
            ->where('garden_id', $garden)
            ->where('done', false)
            ->where('closes', '>=', Today::day()->number)
            ->orderBy('opens')
            ->first();
        $choice = $task === null ? '' : "$task->plant_id:$task->task:$task->season";

        return [
            'season' => '/',
            'season, one list' => '/?show=coming&list=2',
            'season, quarter' => '/?zoom=quarter',
            'season, month' => '/?zoom=month',
            'season by kind' => '/?by=kind',
            'season by crew' => '/?by=crew',
            'season by urgency' => '/?by=urgency',
            'season of a crew' => "/?crew=$crew",
            'season of a kind' => '/?kind=bush-rose',
            'season, a word' => '/?q=rose',
            'a group of the wall' => "/season/groups/$garden",
            'gardens' => '/gardens',
            'gardens, a word' => '/gardens?q=lane',
            'garden' => "/gardens/$garden",
            'garden form' => "/gardens/$garden/edit",
            'signs' => "/gardens/$garden/signs",
            'plant' => "/plants/$plant",
            'plant form' => "/plants/$plant/edit",
            'drawing' => "/plants/$plant/drawing",
            'courses' => "/plants/$plant/courses",
            'courses, three years on' => "/plants/$plant/courses?at=three",
            'people' => '/people',
            'post office' => '/post',
            'files' => '/files',
            'reports' => '/reports',
            'labels' => "/gardens/$garden/labels",
            'letter' => "/gardens/$garden/letter",
            'report' => "/visits/$sheet/report",
            'bench' => '/bench',
            'a case' => '/bench/crowded-lilac',
            'one of ours to practise on' => "/bench/plant-$plant",
            'stems' => "/plants/$plant/stems",
            'record' => "/plants/$plant/record",
            'record of the firm' => '/record',
            'record, a word' => '/record?q=rose',
            'changes' => '/changes',
            'account' => '/account',
            'ways compared' => '/record/compare?kind=bush-rose',
            'plan' => '/plan',
            'crews' => '/crews',
            'plan a visit' => "/gardens/$garden/visits/plan",
            'common days' => "/gardens/$garden/visits/common-days?tasks[]=$choice",
            'round' => '/round',
            'round of a crew' => "/round?crew=$crew",
            'sheet' => "/visits/$sheet",
            'search' => '/search?q=rose',
            'search, two letters' => '/search?q=ro',
            'offered gardens' => '/search/gardens?q=lane',
            'plant book' => '/plant-book',
            'plant book, a month' => '/plant-book?month=7',
            'kind' => '/plant-book/bush-rose',
            'anchors' => '/plant-book/anchors',
            'own kind' => '/plant-book/bush-rose/own',
            'house practice' => '/house-practice',
            'frost dates' => '/frost-dates?latitude=52.1&longitude=-2.4&elevation_m=80',
            'plants from a list' => "/gardens/$garden/plants/list",
            'find a kind' => '/plant-book/find?q=hydrangea+pan',
            'site year' => '/site-year?latitude=52.1&longitude=-2.4&elevation_m=80&last_frost=04-22&first_frost=10-28',
        ];
    }
}
