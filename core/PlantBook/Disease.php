<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** A disease a crew can name, the plants that take it, and what follows for the work. */
final readonly class Disease
{
    /**
     * @param  list<string>  $alsoCalled
     * @param  list<string>  $in  families and genera; empty where any woody plant may have it
     */
    public function __construct(
        public string $key,
        public string $name,
        public array $alsoCalled,
        public array $in,
        public StateNote $note,
    ) {
    }

    public function takes(Kind $kind): bool
    {
        return $this->in === [] || in_array($kind->family, $this->in, true) || in_array(
            strtok($kind->botanical, ' '),
            $this->in,
            true,
        );
    }
}
