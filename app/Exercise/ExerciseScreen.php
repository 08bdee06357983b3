<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Support\Say;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Exercise\WrittenCuts;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Regrowth\Stage;

/** A plant on the bench with the cuts that are marked on it so far, and the branch in hand. */
final readonly class ExerciseScreen
{
    public function show(
        Practised $practised,
        string $code,
        View $view,
        ?int $picked,
        bool $stepped,
        ?string $told,
    ): ExercisePage {
        $plant = $practised->exercise->plant;
        $written = CutCode::read($code, $plant);
        $stage = $stepped
            ? new Stage($written->left, null, null, 0)
            : new Stage(
                $plant, $written->steps === [] ? null : $written->left, null, 0, $written->cuts(),
                numbers: $written->numbers(),
            );
        $standing = self::walk($written->left);
        $picked = $picked !== null && isset($written->left->axes[$picked]) ? $picked : null;
        $at = $picked === null ? false : array_search($picked, $standing, true);
        $count = count($standing);

        return new ExercisePage(
            $practised, $written, $view, $stepped, Portrait::alone($stage, $view, $plant->heightMm()),
            $picked === null ? null : self::hand($written->left, $picked),
            $count === 0 ? null : $standing[$at === false ? 0 : ($at + 1) % $count],
            $count === 0 ? null : $standing[$at === false ? $count - 1 : ($at + $count - 1) % $count],
            array_map(fn (array $step): string => self::inWords($step, $plant), $written->steps),
            self::told($written->faults, $told),
            self::taken($plant, $written),
        );
    }

    /**
     * Its axes in the order somebody goes over a plant: stem by stem, each with what grows from it.
     *
     * @return list<int>
     */
    private static function walk(LivingPlant $plant): array
    {
        $children = $plant->children();
        $walk = [];
        $next = array_reverse($plant->fromTheBase());
        while ($next !== []) {
            $id = array_pop($next);
            $walk[] = $id;
            array_push($next, ...array_reverse($children[$id] ?? []));
        }

        return $walk;
    }

    /** What is to be known of the branch in hand. */
    private static function hand(LivingPlant $plant, int $id): Hand
    {
        $axis = $plant->axes[$id];
        $laterals = count($plant->children()[$id] ?? []);
        $age = $plant->ageOf($axis);

        return new Hand($id, $axis->nodes(), $laterals, sprintf(
            '%s, %s, %s long, %d buds%s%s', self::called($axis), match (true) {
                $axis->isDead() => 'dead',
                $age <= 1 => "last season's",
                default => "of $age seasons",
            }, Say::length((int) round($axis->nodes() * $axis->internodeMm)), $axis->nodes(),
            $laterals === 0 ? '' : sprintf(', %d %s from it', $laterals, $laterals === 1 ? 'branch' : 'branches'),
            sprintf(', tip %s up', Say::length((int) round(max(
                0, $plant->places()[$id]->node($axis->nodes() - 1)[2],
            )))),
        ));
    }

    private static function called(Axis $axis): string
    {
        return $axis->parent === null ? "Stem $axis->id" : "Branch $axis->id";
    }

    /** @param  array{string, list<Cut>}  $step */
    private static function inWords(array $step, LivingPlant $plant): string
    {
        [$code, $cuts] = $step;
        $number = (int) substr($code, 1);
        $axis = $plant->axes[$number] ?? null;
        $called = $axis === null ? '' : lcfirst(self::called($axis));

        return match ($code[0]) {
            't' => "Take out $called",
            'h' => sprintf('Cut %s above its %s bud', $called, self::ordinal(1 + (int) explode('-', $code)[1])),
            's' => sprintf('Shorten the laterals of %s to %d buds', $called, (int) explode('-', $code)[1]),
            'a' => "Shorten all laterals to $number buds",
            'd' => 'Cut all down to '.Say::length($number),
            'r' => 'Clear the stems to '.Say::length($number),
            'c' => sprintf('Clip over to %s of new growth (%d shoots)', Say::length($number), count($cuts)),
            default => sprintf('Take out all that is dead (%d)', count($cuts)),
        };
    }

    private static function ordinal(int $number): string
    {
        $end = $number % 100 > 10 && $number % 100 < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][$number % 10] ?? 'th');

        return $number.$end;
    }

    /**
     * @param  list<string>  $faults
     * @return list<string> the core's words in the bench's: what it calls an axis is a stem or a branch here
     */
    private static function told(array $faults, ?string $told): array
    {
        $says = array_map(static fn (string $fault): string => str_replace(
            ['Axis ', 'axis '], ['Branch ', 'branch '], $fault,
        ), $faults);

        return $told === null ? $says : [...$says, $told];
    }

    private static function taken(LivingPlant $plant, WrittenCuts $written): int
    {
        return (int) round(100 * (1 - $written->left->living() / max(1, $plant->living())));
    }
}
