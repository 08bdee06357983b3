import { execFileSync } from 'node:child_process';
import { database, WORKERS } from '../../playwright.config.mjs';

/** SQLite's own copy: it waits for whoever is writing, and the servers may have the file open meanwhile. */
const COPY = `[, $from, $into] = $argv;
    [$of, $to] = array_map(static function (string $file): SQLite3 {
        $opened = new SQLite3($file);
        $opened->enableExceptions(true);
        $opened->busyTimeout(10000);
        return $opened;
    }, [$from, $into]);
    exit($of->backup($to) ? 0 : 1);`;
const copy = (from, to) => execFileSync('php', ['-r', COPY, from, to]);
const kept = worker => `${database(worker)}-seeded`;

/** Run once the servers answer and nobody has changed anything: what the demo seeded is kept aside. */
export default () => {
    for (let worker = 0; worker < WORKERS; worker++) copy(database(worker), kept(worker));
};

/** The demo as it was seeded, on a worker's server. */
export const begin = worker => copy(kept(worker), database(worker));
