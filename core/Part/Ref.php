<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** A side of a part: one edge of its outline, a hole, or a face. */
final readonly class Ref
{
    private function __construct(
        public string $part,
        public ?int $edge,
        public ?string $face,
        public ?int $hole,
        public int $copy,
    ) {
    }

    public static function edge(string $part, int $edge, int $copy = 0): self
    {
        return new self($part, $edge, null, null, $copy);
    }

    public static function inside(string $part, int $copy = 0): self
    {
        return new self($part, null, 'inside', null, $copy);
    }

    public static function outside(string $part, int $copy = 0): self
    {
        return new self($part, null, 'outside', null, $copy);
    }

    /** The whole outline: what goes into a hole. */
    public static function outline(string $part, int $copy = 0): self
    {
        return new self($part, null, 'outline', null, $copy);
    }

    public static function hole(string $part, int $hole, int $copy = 0): self
    {
        return new self($part, null, null, $hole, $copy);
    }

    /** Refers to one side of a hole, whose ring runs clockwise. */
    public static function holeEdge(string $part, int $hole, int $edge): self
    {
        return new self($part, $edge, null, $hole, 0);
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        $array = ['part' => $this->part];
        foreach (['edge' => $this->edge, 'face' => $this->face, 'hole' => $this->hole] as $key => $value) {
            if ($value !== null) {
                $array[$key] = $value;
            }
        }

        return $array + ['copy' => $this->copy];
    }
}
