<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use LogicException;

/**
 * What a side of a roof's plane or of a wall was made to meet. Geometry carries it through every cut as a label; only here
 * is a label made and read.
 */
final readonly class Side
{
    private function __construct(
        public SideKind $kind,
        public ?PlaneId $plane = null,
        public ?WallId $wall = null,
    ) {
    }

    /** @throws LogicException where it is no such label */
    public static function of(string $label): self
    {
        $words = explode(':', $label);
        $kind = SideKind::tryFrom($words[0]) ?? throw new LogicException("“{$label}” is no side");
        $ids = array_map(intval(...), array_slice($words, 1));

        return match (count($ids)) {
            0 => new self($kind),
            1 => new self($kind, wall: new WallId($ids[0], 0)),
            2 => new self($kind, wall: new WallId($ids[0], $ids[1])),
            default => new self($kind, new PlaneId($ids[0], $ids[1], $ids[2])),
        };
    }

    public static function isOfKind(string $label, SideKind ...$kinds): bool
    {
        return in_array(SideKind::tryFrom(explode(':', $label, 2)[0]), $kinds, true);
    }

    public static function plane(PlaneId $plane): string
    {
        return SideKind::Plane->value.':'.$plane->key();
    }

    public static function over(PlaneId $plane): string
    {
        return SideKind::Over->value.':'.$plane->key();
    }

    public static function clear(PlaneId $plane): string
    {
        return SideKind::Clear->value.':'.$plane->key();
    }

    public static function below(PlaneId $plane): string
    {
        return SideKind::Below->value.':'.$plane->key();
    }

    public static function on(PlaneId $plane): string
    {
        return SideKind::On->value.':'.$plane->key();
    }

    public static function wall(int $block, int $edge): string
    {
        return SideKind::Wall->value.":$block:$edge";
    }

    public static function beneath(int $block, int $edge): string
    {
        return SideKind::Beneath->value.":$block:$edge";
    }

    public static function beside(int $block, int $edge): string
    {
        return SideKind::Beside->value.":$block:$edge";
    }

    public static function atop(WallId $wall): string
    {
        return SideKind::Atop->value.":$wall->block:$wall->edge";
    }

    public static function party(int $block, int $edge): string
    {
        return SideKind::Party->value.":$block:$edge";
    }

    public static function within(int $block, int $edge): string
    {
        return SideKind::Within->value.":$block:$edge";
    }

    public static function past(int $block, int $edge): string
    {
        return SideKind::Past->value.":$block:$edge";
    }

    public static function under(int $block): string
    {
        return SideKind::Under->value.":$block";
    }

    /** @throws LogicException where it meets no plane */
    public function planeOrFail(): PlaneId
    {
        return $this->plane ?? throw new LogicException("{$this->kind->value} meets no plane");
    }

    /** @throws LogicException where it meets no wall */
    public function wallOrFail(): WallId
    {
        return $this->wall ?? throw new LogicException("{$this->kind->value} meets no wall");
    }
}
