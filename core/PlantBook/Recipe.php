<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/**
 * A way of pruning that gardeners have a name for, as one voice tells it: ordered steps, each with a key by which a
 * kind may replace it or leave it out, and what goes with the work. `plant-book/recipes/` holds one file a recipe.
 */
final readonly class Recipe
{
    /** The steps that clean, which come before whatever was missed. */
    public const CLEANING = ['clean', 'suckers'];

    /**
     * @param  int  $rank  place in the order of work on one plant, low first: clean, suckers, thin, renew, shape, tie
     * @param  array<string, Wording>  $steps  by key, in order; one with nothing to say is a place a kind may fill
     * @param  ?string  $stems  how stems are chosen under it (a `StemPlan`), null where it chooses none
     * @param  ?array{int, string}  $cap  the share of live growth that may go by it, in per cent, and the source
     * @param  bool  $shears  true where it is done with shears and not with secateurs
     * @param  bool  $ties  true where soft ties are used up
     * @param  bool  $feeds  true where the kind's feed and mulch follow it
     * @param  list<string>  $gear  what is worn beside gloves and eye protection
     * @param  list<Conditional<FollowUp>>  $followUps
     * @param  bool  $low  true where every cut is made from the ground
     * @param  ?int  $woodMm  the thickest wood it cuts; null where that is the plant's thickest
     * @param  ?int  $restoresIn  seasons in which it brings a plant back; null where that is not what it is for
     * @param  bool  $holdsLine  true where it keeps a plant to a height and width
     * @param  bool  $fromGround  true where it is done from the ground, with hand tools, on a plant of any height
     */
    public function __construct(
        public string $key,
        public string $name,
        public int $rank,
        public string $source,
        public array $steps,
        public ?string $stems,
        public ?array $cap,
        public bool $shears,
        public bool $ties,
        public bool $feeds,
        public array $gear,
        public array $followUps,
        public bool $fromGround,
        public bool $holdsLine,
        public ?int $restoresIn,
        public bool $low,
        public ?int $woodMm,
    ) {
    }
}
