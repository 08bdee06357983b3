<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Ground\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use PDO;
use PDOStatement;

/**
 * Looks at pages as the planner, each time with an application of its own, as a server would: booted anew, nothing
 * remembered of the look before.
 */
final readonly class Probe
{
    /** @param  callable(): Application  $boot  an application on the database that is measured */
    public function __construct(private mixed $boot)
    {
    }

    public function look(string $address): Look
    {
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $start = hrtime(true);
        $app = ($this->boot)();
        $kernel = $app->make(Kernel::class);
        $kernel->bootstrap();
        $queries = [];
        $app->make('db')->listen(static function (QueryExecuted $query) use (&$queries): void {
            $queries[] = ['sql' => $query->sql, 'bindings' => $query->bindings];
        });
        $request = Request::create($address, 'GET');
        $app->instance('request', $request);
        $app->make('auth')
            ->guard()
            ->setUser(User::query()->where('role', 'planner')->firstOrFail());
        $response = $kernel->handle($request);
        $body = (string) $response->getContent();
        $ms = (hrtime(true) - $start) / 1e6;
        $peak = memory_get_peak_usage() - $before;
        $kernel->terminate($request, $response);
        $app->make('db')->disconnect();
        $app->flush();

        return new Look($response->getStatusCode(), $ms, strlen($body), $peak, $queries);
    }

    /**
     * The same rows read with nothing around them: rows, and milliseconds.
     *
     * @return array{int, float}
     */
    public static function raw(Look $look, PDO $database): array
    {
        $rows = 0;
        $start = hrtime(true);
        foreach ($look->reads() as $query) {
            $rows += count(self::ask($database, $query['sql'], $query['bindings'])->fetchAll(PDO::FETCH_OBJ));
        }

        return [$rows, (hrtime(true) - $start) / 1e6];
    }

    /**
     * What the database walks through from one end to the other for a look.
     *
     * @return list<string> "plants: select * from ..."
     */
    public static function scans(Look $look, PDO $database): array
    {
        $scans = [];
        // An index of a few rows may be gone through: it is there to hold them.
        $few = self::ask($database, "select name from sqlite_master where type = 'index' and sql like '% where %'", [])
            ->fetchAll(PDO::FETCH_COLUMN);
        foreach ($look->reads() as $query) {
            // The last few of a table, without a condition, are read from its end.
            if (preg_match('/^select \S+ from "\w+" order by "id" (asc|desc) limit \d+$/', $query['sql']) === 1) {
                continue;
            }
            foreach (
                self::ask($database, 'explain query plan '.$query['sql'], $query['bindings'])->fetchAll(
                    PDO::FETCH_ASSOC,
                ) as $step
            ) {
                if (preg_match('/^SCAN (\w+)(?:.* INDEX (\w+))?/', (string) $step['detail'], $table) === 1
                    && ! in_array($table[2] ?? '', $few, true)) {
                    $scans[] = "$table[1]: $query[sql]";
                }
            }
        }

        return $scans;
    }

    /** @param  array<array-key, mixed>  $bindings */
    private static function ask(PDO $database, string $sql, array $bindings): PDOStatement
    {
        $statement = $database->prepare($sql);
        foreach (array_values($bindings) as $index => $value) {
            $statement->bindValue(
                $index + 1,
                is_bool($value) ? (int) $value : $value,
                is_int($value) || is_bool($value) ? PDO::PARAM_INT : PDO::PARAM_STR,
            );
        }
        $statement->execute();

        return $statement;
    }
}
