<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Vec2;

/**
 * What is drawn on a brick paper, as its rule rather than brick by brick. The part's own frame, model millimetres.
 */
final readonly class BrickArt implements Artwork
{
    /** It is printed so far beyond every cut, mm, and so much room is kept round it. */
    public const BLEED_MM = 1.5;

    /** Farther at foot and eaves, where nothing hides the paper's edge. */
    public const MORE_MM = 2.0;

    /** Beyond that its folds are told by ticks so long. */
    public const TICK_MM = 1.0;

    /**
     * @param  float  $datum  height of the bed of course 0
     * @param  bool  $swapped  whether even courses carry the bond's second course, as on walls that meet this one
     * @param  array{float, float}  $quoins  where the wall's outside ends
     * @param  list<Box2>  $jambs  openings up to their springing
     * @param  list<BrickReveal>  $reveals  openings into which the paper turns
     * @param  list<PrintedShape>  $dressings  what is printed over the bricks, and ends their courses
     * @param  array<string, float>  $beyond  by side: so much farther it is printed at the foot and at the top, to be turned under
     * @param  ?Homography  $receding  from the wall on which the bricks are laid to the paper, where that is in forced perspective
     */
    public function __construct(
        public BrickBond $bond,
        public float $brick,
        public float $course,
        public float $joint,
        public float $datum,
        public bool $swapped,
        public array $quoins,
        public array $jambs,
        public string $brickColour,
        public string $mortarColour,
        private ?Homography $receding = null,
        public array $reveals = [],
        private array $beyond = ['foot' => 0.0, 'top' => 0.0],
        public array $dressings = [],
    ) {
    }

    public function moved(float $dx, float $dy): self
    {
        if ($this->receding !== null) {
            // The wall stays where it is; what is drawn of it moves.
            return new self(
                $this->bond,
                $this->brick,
                $this->course,
                $this->joint,
                $this->datum,
                $this->swapped,
                $this->quoins,
                $this->jambs,
                $this->brickColour,
                $this->mortarColour,
                $this->receding->between(new Vec2(0.0, 0.0), new Vec2(-$dx, -$dy)),
                beyond: $this->beyond,
                dressings: $this->dressings,
            );
        }

        return new self(
            $this->bond, $this->brick, $this->course, $this->joint, $this->datum + $dy, $this->swapped,
            [$this->quoins[0] + $dx, $this->quoins[1] + $dx],
            array_map(
                static fn (Box2 $jamb): Box2 => new Box2($jamb->x0 + $dx, $jamb->y0 + $dy, $jamb->x1 + $dx, $jamb->y1 + $dy),
                $this->jambs,
            ),
            $this->brickColour, $this->mortarColour, null,
            array_map(static fn (BrickReveal $r): BrickReveal => $r->moved($dx, $dy), $this->reveals),
            $this->beyond,
            array_map(static fn (PrintedShape $s): PrintedShape => $s->moved($dx, $dy), $this->dressings),
        );
    }

    public function beyond(string $edge): float
    {
        return $this->beyond[$edge] ?? 0.0;
    }

    public function ends(): array
    {
        return $this->quoins;
    }

    public function receding(): ?Homography
    {
        return $this->receding;
    }

    public function cutColour(): string
    {
        return $this->mortarColour;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'brick', 'bond' => $this->bond->value, 'brick' => round($this->brick, 4),
            'course' => round($this->course, 4), 'joint' => round($this->joint, 4),
            'datum' => round($this->datum, 4), 'swapped' => $this->swapped,
            'quoins' => array_map(static fn (float $x): float => round($x, 4), $this->quoins),
            'jambs' => array_map(
                static fn (Box2 $jamb): array => [round($jamb->x0, 4), round($jamb->y0, 4), round($jamb->x1, 4), round($jamb->y1, 4)],
                $this->jambs,
            ),
            'colours' => [$this->brickColour, $this->mortarColour],
            'beyond' => $this->beyond,
        ] + ($this->receding === null ? [] : ['receding' => $this->receding->toArray()])
            + ($this->dressings === [] ? [] : [
                'dressings' => array_map(static fn (PrintedShape $s): array => $s->toArray(), $this->dressings),
            ])
            + ($this->reveals === [] ? [] : ['reveals' => array_map(static fn (BrickReveal $r): array => $r->toArray(), $this->reveals)]);
    }
}
