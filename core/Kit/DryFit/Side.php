<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

/** A side of a joint, as the kit names it. */
final readonly class Side
{
    private function __construct(
        public string $part,
        public ?int $edge,
        public ?string $face,
        public ?int $hole,
        public int $copy,
    ) {
    }

    public static function read(KitShape $side): self
    {
        return new self(
            $side->text('part'),
            $side->has('edge') ? $side->whole('edge') : null,
            $side->textOrNull('face'),
            $side->has('hole') ? $side->whole('hole') : null,
            $side->has('copy') ? $side->whole('copy') : 0,
        );
    }

    public function key(): string
    {
        return $this->part.'#'.$this->copy;
    }

    public function edgeKey(): string
    {
        return $this->key().'/'.($this->hole === null ? '' : "hole $this->hole/").$this->edge;
    }
}
