<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** A kind that a name may stand for. */
final readonly class NameMatch
{
    /**
     * @param  string  $because  why it is offered
     * @param  ?string  $ask  what tells it from the others that are offered; null where it is the one
     * @param  bool  $sure  true where the name stands for this kind and no other
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $botanical,
        public string $because,
        public ?string $ask,
        public bool $sure,
    ) {
    }

    /** @return array{id: string, name: string, botanical: string, because: string, ask: ?string} */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'botanical' => $this->botanical, 'because' => $this->because,
            'ask' => $this->ask,
        ];
    }
}
