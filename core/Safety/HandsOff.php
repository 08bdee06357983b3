<?php

declare(strict_types=1);

namespace PruningHook\Core\Safety;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\Recipe;
use PruningHook\Core\Reason;

/**
 * What a crew leaves to an arborist: work on a tall tree, on thick wood, or within reach of a power line. Whatever
 * speaks of such a task (sheet, courses, planning, command line) asks here. ANSI Z133 and A300 (from memory); local
 * codes win.
 */
final readonly class HandsOff
{
    /** The hazard that stops everything at a plant. */
    public const LINE = 'power-line';

    /**
     * @param  list<string>  $steps  what stands on the sheet, `{task}` being what is to be asked for
     */
    private function __construct(public string $why, private array $steps, private Reason $reason)
    {
    }

    /**
     * @param  ?int  $yearInGround  a tree that nobody has measured is taken to be as tall as its kind grows, unless
     *     it is
     *     young
     * @return ?self null where the crew may do it
     */
    public static function of(Plant $plant, Kind $kind, Recipe $recipe, Figures $figures, ?int $yearInGround): ?self
    {
        if (in_array(self::LINE, $plant->hazards, true)) {
            return self::nearLine($figures);
        }
        if ($plant->state->protected) {
            return self::untilConsent();
        }
        if ($recipe->fromGround) {
            return null;
        }
        $young = $yearInGround !== null && $yearInGround <= $figures->number(Figure::YoungTree);
        $height = $plant->heightMm ?? ($young ? 0 : $kind->typicalHeightMm);
        if ($kind->habit === Habit::Tree && $height > $figures->number(Figure::HandsOffTree)) {
            return self::tooTall($figures, $plant->heightMm !== null);
        }
        $thick = $figures->number(Figure::HandsOffWood);

        return ! $recipe->shears && $figures->cuts($recipe, $kind, $height, $plant->state->trunkMm) > $thick
            ? self::tooThick($figures, $thick)
            : null;
    }

    private static function nearLine(Figures $figures): self
    {
        return new self(
            'stands within reach of a power line',
            [
                'Leave it alone: a power line is near, and nobody works within its reach.',
                'Ask the utility or a qualified line-clearance arborist for: {task}.',
            ],
            $figures->reason(
                Figure::HandsOffTree, 'Hands off', 'a power line is near: nobody works within its reach',
            ),
        );
    }

    private static function untilConsent(): self
    {
        return new self(
            'is protected',
            [
                'Leave it until consent is there in writing: it is protected.',
                'The office asks the local authority for: {task}. Say on the plant when consent is given.',
            ],
            Reason::commonPractice(
                'Hands off', 'it is protected: no cut before the local authority has consented in writing',
            ),
        );
    }

    private static function tooTall(Figures $figures, bool $isMeasured): self
    {
        $tall = $figures->number(Figure::HandsOffTree) / 1000;
        $as = $isMeasured ? 'is taller than' : 'grows taller than';

        return new self(
            $why = "$as $tall m".($isMeasured ? '' : ' as a rule: measure it'),
            self::arborist($why),
            $figures->reason(Figure::HandsOffTree, 'Hands off', "it $as $tall m: work in it is an arborist's"),
        );
    }

    private static function tooThick(Figures $figures, int $mm): self
    {
        return new self(
            $why = "has wood thicker than $mm mm",
            self::arborist($why),
            $figures->reason(
                Figure::HandsOffWood, 'Hands off', "its oldest wood is thicker than $mm mm: that is an arborist's",
            ),
        );
    }

    public function reason(): Reason
    {
        return $this->reason;
    }

    /**
     * What the sheet says in place of steps: whom to ask for what and when, and what is left to the crew.
     *
     * @param  list<Amount>  $amounts  as the task would have them
     * @return list<string>
     */
    public function steps(Recipe $recipe, Window $window, array $amounts): array
    {
        $for = implode('; ', [
            lcfirst($recipe->name),
            ...array_map(static fn (Amount $amount): string => $amount->what.': '.$amount->inWords(), $amounts),
            sprintf('best %s to %s', $window->bestFrom->inWords(), $window->bestTo->inWords()),
        ]);

        return str_replace('{task}', $for, $this->steps);
    }

    /** @return list<string> */
    private static function arborist(string $why): array
    {
        return [
            "Leave it to an arborist: it $why. Nobody climbs, no ladder goes up, no saw.",
            'Ask a licensed arborist for: {task}.',
            'From the ground, and with hand tools, the crew may take off suckers and shoots on the trunk as high as '
                .'they reach.',
        ];
    }
}
