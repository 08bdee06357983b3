<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** How names are read: old and new genera, words that tell no kind, and what to ask where a name stands for several. */
final readonly class Naming
{
    /**
     * @param  array<string, list<string>>  $genera  other names by genus, as `Names::words` writes them
     * @param  list<string>  $grown  words that only say how a plant is grown
     * @param  list<string>  $passedOver  words that tell no kind
     * @param  array<string, string>  $questions  by the word that stands for several
     * @param  array<string, list<string>>  $falseFriends  kinds that end on a word and are none of it
     * @param  list<string>  $usual  kinds that go first among equals
     */
    private function __construct(
        public array $genera,
        public array $grown,
        public array $passedOver,
        public array $questions,
        public array $falseFriends,
        public array $usual,
    ) {
    }

    public static function fromEntry(Entry $file): self
    {
        $genera = $friends = [];
        $false = $file->entry('false_friends');
        foreach ($false->keys() as $word) {
            $friends[$word] = $false->strings($word);
        }
        $entry = $file->entry('genera');
        foreach ($entry->keys() as $genus) {
            $genera[strtolower($genus)] = array_map(strtolower(...), $entry->strings($genus));
        }

        return new self(
            $genera, $file->strings('grown'), $file->strings('passed_over'), $file->entry('questions')->texts(),
            $friends, $file->strings('usual'),
        );
    }
}
