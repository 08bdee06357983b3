<?php

declare(strict_types=1);

namespace Tests\Reference;

use RuntimeException;

/** Runs a library of the npm registry on what is given to it. */
final class Node
{
    /**
     * @param  string  $script  an ES module that reads JSON from its standard input and writes JSON
     *
     * @throws RuntimeException where it fails
     */
    public static function run(string $script, mixed $given): mixed
    {
        $node = proc_open(
            ['node', '--input-type=module', '-e', $script], [['pipe', 'r'], ['pipe', 'w']], $pipes, dirname(__DIR__, 2),
        );
        if ($node === false) {
            throw new RuntimeException('node could not be started');
        }
        fwrite($pipes[0], json_encode($given, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $answer = json_decode((string) stream_get_contents($pipes[1]), true);
        if (proc_close($node) !== 0) {
            throw new RuntimeException('the script failed');
        }

        return $answer;
    }
}
