<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Vec2;

/** A line that is printed but not cut. */
final readonly class Mark
{
    /** @param  non-empty-list<Vec2>  $path */
    public function __construct(
        public array $path,
        public string $text = '',
        public MarkKind $kind = MarkKind::Guide,
    ) {
    }

    public function moved(float $dx, float $dy): self
    {
        $by = new Vec2($dx, $dy);

        return new self(array_map(static fn (Vec2 $p): Vec2 => $p->plus($by), $this->path), $this->text, $this->kind);
    }

    /** @return array{kind: string, path: list<array{float, float}>, text: string, of: string} */
    public function toArray(): array
    {
        $path = array_map(static fn (Vec2 $p): array => $p->toArray(), $this->path);

        return ['kind' => 'line', 'path' => $path, 'text' => $this->text, 'of' => $this->kind->value];
    }
}
