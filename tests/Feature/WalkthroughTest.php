<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ground\Support\Today;
use App\Knowledge\PlantBookFiles;
use App\Office\Reports\HoursColumn;
use App\Office\Reports\MakeReport;
use App\Office\Reports\ReportCalculator;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\PreserveGlobalState;
use PHPUnit\Framework\Attributes\RunTestsInSeparateProcesses;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemCut;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Symfony\Component\Process\Process;

/** The changes that CONTRIBUTING shows, each made in a copy of the files it touches, run there, and thrown away. */
#[RunTestsInSeparateProcesses]
#[PreserveGlobalState(false)]
final class WalkthroughTest extends FeatureTestCase
{
    private string $copy = '';

    protected function tearDown(): void
    {
        (new Filesystem)->deleteDirectory($this->copy);
        parent::tearDown();
    }

    public function test_a_column_of_the_season_report(): void
    {
        self::assertSame(['app/Office/Reports/HoursColumn.php'], $this->walk('A column of the season report'));
        self::assertSame('visits', HoursColumn::cases()[3]->value);
        $visit = $this->visitTask();
        DB::table('work_logs')->insert([
            'visit_task_id' => $visit->id, 'plant_id' => $visit->plant_id, 'task' => $visit->task,
            'season' => $visit->season, 'on' => (string) Today::day(), 'outcome' => 'done', 'minutes' => 30,
            'findings' => '[]', 'amounts' => '[]',
        ]);
        (new MakeReport(2027))->handle($this->app->make(ReportCalculator::class));
        $this->actingAs($this->planner())->get('/reports?season=2027')->assertOk()
            ->assertSeeInOrder(['Forecast', 'Took', 'Lines', 'Visits', 'data-th="Visits">1'], false);
        self::assertStringStartsWith(
            "name,planned_minutes,took_minutes,lines,visits\r\n",
            (string) $this->get('/reports/2027/garden')->getContent(),
        );
    }

    public function test_a_stem_rule(): void
    {
        self::assertSame(
            ['core/Structure/Rules/Lying.php', 'core/Structure/StemJudge.php'], $this->walk('A stem rule'),
        );
        $stems = array_map(
            static fn (int $way): Stem => new Stem("s$way", $way, $way === 0 ? 88 : 30, 1500, 25, 3), range(0, 300, 60),
        );
        $aim = new StemAim(StemPlan::Bowl, 3, 5, 6, 40, 'none', false, 1, 6, '', 8, 60);
        $judged = StemJudge::with(new Clearance(20, 300, 0.12))->judge(Survey::of($stems), $aim);
        self::assertSame(
            ['s0 Lying'], array_map(static fn (StemCut $cut): string => $cut->stem->ref.' '.$cut->rule, $judged->cuts),
        );
    }

    public function test_a_kind(): void
    {
        self::assertSame(['plant-book/kinds/shrubs.yaml'], $this->walk('A plant'));
        (new Filesystem)->copyDirectory(base_path('plant-book'), "$this->copy/book");
        copy("$this->copy/plant-book/kinds/shrubs.yaml", "$this->copy/book/kinds/shrubs.yaml");
        $book = (new PlantBookFiles("$this->copy/book", $this->copy))->readAll();
        self::assertSame('harbour-forsythia', $book->find('Harbour forsythia')?->id);
        self::assertSame(
            array_keys($book->kind('forsythia')->tasks), array_keys($book->kind('harbour-forsythia')->tasks),
        );
    }

    /**
     * Makes the change that stands under a heading of CONTRIBUTING; classes it touches are read from the copy.
     *
     * @return list<string> the files it touches
     */
    private function walk(string $heading): array
    {
        $page = (string) file_get_contents(base_path('CONTRIBUTING.md'));
        $section = Str::betweenFirst($page, "## $heading\n", "\n## ");
        self::assertStringContainsString("```diff\n", $section, "no change stands under $heading");
        $change = Str::betweenFirst($section, "```diff\n", '```');
        preg_match_all('#^\+\+\+ b/(\S+)#m', $change, $files);
        $this->copy = sys_get_temp_dir().'/walk-'.bin2hex(random_bytes(6));
        foreach ($files[1] as $file) {
            (new Filesystem)->ensureDirectoryExists(dirname("$this->copy/$file"));
            ! is_file(base_path($file)) || copy(base_path($file), "$this->copy/$file");
        }
        $patch = new Process(['git', 'apply', '-'], $this->copy, input: $change);
        $patch->run();
        self::assertTrue($patch->isSuccessful(), "$heading: ".$patch->getErrorOutput());
        spl_autoload_register(function (string $class): void {
            $path = strtr($class, ['App\\' => 'app/', 'PruningHook\\Core\\' => 'core/', '\\' => '/']);
            ! is_file("$this->copy/$path.php") || require "$this->copy/$path.php";
        }, true, true);

        return $files[1];
    }
}
