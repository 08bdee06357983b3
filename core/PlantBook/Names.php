<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/**
 * Finds kinds by what people call them: in any case, with accents or without, with a cultivar, the sign of a hybrid or
 * a word of how it is grown, by an old name or a new one, misspelt, or begun. What is offered shares a word with what
 * was asked for, or all but a letter or two of one: never only letters.
 */
final readonly class Names
{
    /** So many are offered. */
    public const MOST = 5;

    /** Longer texts are no names. */
    private const LONGEST = 120;

    /** A word that was begun has at least so many letters. */
    private const BEGUN = 3;

    private const ACCENTS = [
        'á' => 'a', 'à' => 'a', 'â' => 'a', 'ä' => 'a', 'ã' => 'a', 'å' => 'a', 'æ' => 'ae', 'ç' => 'c', 'é' => 'e',
        'è' => 'e', 'ê' => 'e', 'ë' => 'e', 'í' => 'i', 'ì' => 'i', 'î' => 'i', 'ï' => 'i', 'ñ' => 'n', 'ó' => 'o',
        'ò' => 'o', 'ô' => 'o', 'ö' => 'o', 'õ' => 'o', 'ø' => 'o', 'œ' => 'oe', 'ú' => 'u', 'ù' => 'u', 'û' => 'u',
        'ü' => 'u', 'ý' => 'y', 'ß' => 'ss', '×' => ' ', '’' => "'", '‘' => "'", '“' => '"', '”' => '"',
    ];

    /**
     * @param  array<string, KindNames>  $names  by id
     * @param  array<string, array{string, string}>  $known  id and name as it is written, by the words of the name
     * @param  array<string, list<string>>  $words  ids by each word of their names
     * @param  array<string, list<string>>  $genera  ids by genus
     */
    private function __construct(
        private array $names,
        private Naming $naming,
        private array $known,
        private array $words,
        private array $genera,
    ) {
    }

    /** @param  array<string, KindNames>  $names  by id */
    public static function of(array $names, Naming $naming): self
    {
        $known = $words = $genera = [];
        foreach ($names as $id => $kind) {
            $genus = self::words($kind->botanical)[0] ?? '';
            foreach ($kind->all() as $name) {
                $of = self::words($name);
                $known[implode(' ', $of)] ??= [$id, $name];
                foreach ($of as $word) {
                    $words[$word][$id] = $id;
                }
            }
            foreach ([$genus, ...$naming->genera[$genus] ?? []] as $called) {
                $genera[$called][$id] = $id;
            }
        }
        // What is only grown as a hedge is found by its plain name, where no other bears that.
        foreach ($known as $text => [$id, $name]) {
            $plain = implode(' ', self::bare(explode(' ', $text), $naming));
            $known[$plain] ??= [$id, $name];
        }

        return new self(
            $names, $naming, $known, array_map(array_values(...), $words), array_map(array_values(...), $genera),
        );
    }

    /**
     * The kinds a name may stand for, best first, at most five; none where nothing is like it.
     *
     * @param  list<string>  $recent  kinds that go first among equals
     * @return list<NameMatch>
     */
    public function find(string $text, array $recent = []): array
    {
        $said = self::words(mb_substr($text, 0, self::LONGEST));
        $words = array_values(array_diff($said, $this->naming->passedOver));
        if ($words === []) {
            return [];
        }
        $found = $this->exactly($said) ?? $this->exactly($words) ?? $this->oneOf($words) ?? $this->begun($words);
        if ($found === null) {
            $spelt = $this->spelt($words);
            $found = $spelt === null ? null : $this->exactly($spelt) ?? $this->oneOf($spelt) ?? $this->begun($spelt);
            $found = $found === null ? [] : array_map(static fn (NameMatch $match): NameMatch => new NameMatch(
                $match->id, $match->name, $match->botanical, 'spelt so: '.implode(' ', $spelt), $match->ask, false,
            ), $found);
        }
        $rank = array_flip($recent);
        $order = array_flip(array_map(static fn (NameMatch $match): string => $match->id, $found));
        usort($found, static fn (NameMatch $a, NameMatch $b): int => [
            $rank[$a->id] ?? PHP_INT_MAX, $order[$a->id],
        ] <=> [$rank[$b->id] ?? PHP_INT_MAX, $order[$b->id]]);

        return array_slice($found, 0, self::MOST);
    }

    /** The kind a name stands for beyond doubt; null where there is none. */
    public function sure(string $text): ?string
    {
        $found = $this->find($text);

        return $found !== [] && $found[0]->sure ? $found[0]->id : null;
    }

    /**
     * The name itself, whatever stands after it (a cultivar) or before (a colour).
     *
     * @param  list<string>  $words
     * @return ?list<NameMatch>
     */
    private function exactly(array $words): ?array
    {
        // "Box hedge", and "standard bay".
        $bare = self::bare($words, $this->naming);
        $front = array_reverse(self::bare(array_reverse($bare), $this->naming));
        $found = $this->named($words) ?? $this->named($bare) ?? $this->named($front);
        if ($found !== null) {
            return [$this->match($found, $this->called($found))];
        }
        for ($length = count($words) - 1; $length >= 2; $length--) {
            $found = $this->named(array_slice($words, 0, $length)) ?? $this->named(array_slice($words, -$length));
            if ($found !== null) {
                return [$this->match($found, 'a form of it')];
            }
        }

        return null;
    }

    /**
     * The kind that bears just this name, or bears it under the genus's other name.
     *
     * @param  list<string>  $words
     * @return ?array{string, string} id and name as it is written
     */
    private function named(array $words): ?array
    {
        foreach ($this->genusToo($words) as $way) {
            $found = $this->known[implode(' ', $way)] ?? null;
            if ($found !== null && ! $this->isGenusOfSeveral($way, $found)) {
                return $found;
            }
        }

        return null;
    }

    /**
     * A kind that stands for a whole genus in the book is not meant by the genus alone, unless that is its name.
     *
     * @param  list<string>  $words
     * @param  array{string, string}  $found
     */
    private function isGenusOfSeveral(array $words, array $found): bool
    {
        return count($words) === 1
            && count($this->genera[$words[0]] ?? []) > 1
            && self::words($this->names[$found[0]]->name) !== $words;
    }

    /**
     * A genus, or a word that several are called by: with the question that tells them apart.
     *
     * @param  list<string>  $words
     * @return ?list<NameMatch>
     */
    private function oneOf(array $words): ?array
    {
        $bare = self::bare($words, $this->naming);
        foreach (array_unique([$words[0], $bare[count($bare) - 1] ?? '', $words[count($words) - 1]]) as $word) {
            $ids = array_values(array_unique([...$this->genera[$word] ?? [], ...$this->endingOn($word)]));
            if ($ids === []) {
                continue;
            }
            $ids = $this->nearestFirst($ids, $words);
            // Whatever else was said is a cultivar; a kind that bears the word alone goes first.
            $genus = isset($this->genera[$word]);
            $written = $genus ? explode(' ', $this->names[$this->genera[$word][0]]->botanical)[0] : $word;
            $ask = count($ids) === 1 ? null : $this->naming->questions[$word] ?? "Which $written is it?";

            return array_map(fn (string $id): NameMatch => new NameMatch(
                $id, $this->names[$id]->name, $this->names[$id]->botanical,
                $genus ? 'of that genus' : "called \"$word\"", $ask, count($ids) === 1,
            ), $ids);
        }

        return null;
    }

    /**
     * Every word of it stands in one of the kind's names, or begins one there.
     *
     * @param  list<string>  $words
     * @return ?list<NameMatch>
     */
    private function begun(array $words): ?array
    {
        $ids = null;
        foreach ($words as $word) {
            $with = $this->words[$word] ?? [];
            if (strlen($word) >= self::BEGUN) {
                foreach ($this->words as $known => $of) {
                    if (str_starts_with($known, $word)) {
                        $with = [...$with, ...$of];
                    }
                }
            }
            $ids = $ids === null ? array_unique($with) : array_intersect($ids, $with);
        }
        $ids = array_values($ids ?? []);
        if ($ids === []) {
            return null;
        }
        $ids = $this->nearestFirst($ids, $words);

        return array_map(fn (string $id): NameMatch => new NameMatch(
            $id, $this->names[$id]->name, $this->names[$id]->botanical, 'one of its names begins so',
            count($ids) === 1 ? null : 'Which of them is it?', false,
        ), $ids);
    }

    /**
     * The words as somebody may have meant them, each all but a letter or two like one of the book's; null where one is
     * like none.
     *
     * @param  list<string>  $words
     * @return ?list<string>
     */
    private function spelt(array $words): ?array
    {
        $meant = [];
        foreach ($words as $word) {
            $best = isset($this->words[$word]) || isset($this->genera[$word]) ? $word : null;
            $best ??= $this->nearest($word);
            // A cultivar nobody knows hides no plant: the words that are known count.
            if ($best !== null) {
                $meant[] = $best;
            } elseif ($meant === []) {
                return null;
            }
        }

        // "Sweet" and "red" stand before much: one of the words must be what the plant is.
        foreach ($meant as $word) {
            if (isset($this->genera[$word]) || $this->endingOn($word) !== []) {
                return $meant === $words ? null : $meant;
            }
        }

        return null;
    }

    /** The book's word that is all but a letter or two like this one; null where none is. */
    private function nearest(string $word): ?string
    {
        $best = null;
        $least = PHP_INT_MAX;
        foreach ([...array_keys($this->words), ...array_keys($this->genera)] as $known) {
            $may = self::mayDiffer($word, $known);
            if (abs(strlen($known) - strlen($word)) <= $may) {
                $far = levenshtein($word, $known);
                if ($far <= $may && $far < $least) {
                    [$best, $least] = [$known, $far];
                }
            }
        }

        return $best;
    }

    /** In how many letters: the first ones are hardly ever wrong, or the word is another. */
    private static function mayDiffer(string $word, string $known): int
    {
        $sound = static fn (string $text, int $letters): string => substr(
            strtr($text, ['ph' => 'f', 'y' => 'i']), 0, $letters,
        );

        return match (true) {
            strlen($word) < 4 || $sound($word, 2) !== $sound($known, 2) => 0,
            strlen($word) >= 6 && $sound($word, 3) === $sound($known, 3) => 2,
            default => 1,
        };
    }

    /**
     * Kinds that share most words with what was asked for first, then those of the plainest name.
     *
     * @param  list<string>  $ids
     * @param  list<string>  $words
     * @return list<string>
     */
    private function nearestFirst(array $ids, array $words): array
    {
        $shared = [];
        $usual = array_flip($this->naming->usual);
        foreach ($ids as $id) {
            $of = [];
            foreach ($this->names[$id]->all() as $name) {
                $of = [...$of, ...self::words($name)];
            }
            $plain = self::words($this->names[$id]->name);
            $shared[$id] = [
                -count(array_intersect($words, $of)), $usual[$id] ?? PHP_INT_MAX, count($plain),
                $this->names[$id]->name,
            ];
        }
        usort($ids, static fn (string $a, string $b): int => $shared[$a] <=> $shared[$b]);

        return $ids;
    }

    /** @return list<string> ids of kinds whose name is that word or ends on it: a climbing rose is a rose */
    private function endingOn(string $word): array
    {
        $ids = [];
        foreach ($this->words[$word] ?? [] as $id) {
            $of = self::bare(self::words($this->names[$id]->name), $this->naming);
            if ($of !== [] && $of[count($of) - 1] === $word) {
                $ids[] = $id;
            }
        }

        return array_values(array_diff($ids, $this->naming->falseFriends[$word] ?? []));
    }

    /**
     * The same with the genus's other names.
     *
     * @param  list<string>  $words
     * @return list<list<string>>
     */
    private function genusToo(array $words): array
    {
        $ways = [$words];
        foreach ($words === [] ? [] : $this->naming->genera as $genus => $others) {
            if (in_array($words[0], $others, true)) {
                $ways[] = [$genus, ...array_slice($words, 1)];
            } elseif ($genus === $words[0]) {
                foreach ($others as $other) {
                    $ways[] = [$other, ...array_slice($words, 1)];
                }
            }
        }

        return $ways;
    }

    /** @param  array{string, string}  $found */
    private function match(array $found, string $because): NameMatch
    {
        $kind = $this->names[$found[0]];

        return new NameMatch($kind->id, $kind->name, $kind->botanical, $because, null, true);
    }

    /** @param  array{string, string}  $found */
    private function called(array $found): string
    {
        [$id, $name] = $found;

        return match (true) {
            $name === $this->names[$id]->name, $name === $id => 'its name',
            $name === $this->names[$id]->botanical => 'its botanical name',
            default => "also called $name",
        };
    }

    /**
     * Without the words at its end that only say how it is grown.
     *
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function bare(array $words, Naming $naming): array
    {
        while (count($words) > 1 && in_array($words[count($words) - 1], $naming->grown, true)) {
            array_pop($words);
        }

        return $words;
    }

    /**
     * A name as its words, so that two ways of writing it come to the same.
     *
     * @return list<string>
     */
    public static function words(string $text): array
    {
        $text = strtr(mb_strtolower($text), self::ACCENTS);
        // A cultivar in quotes; an apostrophe within a word is none.
        $text = (string) preg_replace('/(?<=^|[\s(])([\'"])[^\'"]*\1/', ' ', $text);
        $text = str_replace("'", '', $text);
        $words = [];
        foreach (explode(' ', trim((string) preg_replace('/[^a-z]+/', ' ', $text))) as $word) {
            if ($word !== '' && $word !== 'x' && $word !== 'f') {
                $words[] = self::singular($word);
            }
        }

        return $words;
    }

    private static function singular(string $word): string
    {
        return match (true) {
            strlen($word) < 4 || preg_match('/(us|is|ss)$/', $word) === 1 => $word,
            preg_match('/(ss|x|ch|sh)es$/', $word) === 1 => substr($word, 0, -2),
            str_ends_with($word, 'ies') && strlen($word) > 4 => substr($word, 0, -3).'y',
            str_ends_with($word, 's') => substr($word, 0, -1),
            default => $word,
        };
    }
}
