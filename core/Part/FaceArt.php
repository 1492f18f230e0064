<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Pattern\Pattern;

/** What is drawn on a face's paper, as its rule rather than unit by unit. The part's own frame, model millimetres. */
final readonly class FaceArt implements Artwork
{
    use CopiesWith;

    /** Farther at foot and eaves, where nothing hides the paper's edge. */
    public const MORE_MM = 2.0;

    /**
     * @param  float  $datum  the height that courses are counted from
     * @param  bool  $swapped  whether courses begin as the second ones do, as on walls that meet this one
     * @param  array{float, float}  $quoins  where the face ends
     * @param  list<Box2>  $jambs  openings up to their springing
     * @param  list<TurnedOpening>  $reveals  openings into which the paper turns
     * @param  list<PrintedShape>  $dressings  what is printed over the covering, and ends its courses
     * @param  array<string, float>  $beyond  by side: so much farther it is printed at the foot and at the top, to be turned under
     * @param  list<Sweep>  $sweeps  towards which rows curve
     * @param  ?Homography  $receding  from the face on which units are laid to the paper, where that is in forced perspective
     */
    public function __construct(
        public Pattern $pattern,
        public float $datum,
        public bool $swapped,
        public array $quoins,
        public array $jambs = [],
        private ?Homography $receding = null,
        public array $reveals = [],
        private array $beyond = ['foot' => 0.0, 'top' => 0.0],
        public array $dressings = [],
        public ?Weather $weather = null,
        public array $sweeps = [],
    ) {
    }

    public function moved(float $dx, float $dy): self
    {
        if ($this->receding !== null) {
            // The face stays where it is; what is drawn of it moves.
            return $this->with(receding: $this->receding->between(new Vec2(0.0, 0.0), new Vec2(-$dx, -$dy)));
        }

        return $this->with(
            datum: $this->datum + $dy,
            quoins: [$this->quoins[0] + $dx, $this->quoins[1] + $dx],
            jambs: array_map(static fn (Box2 $b): Box2 => new Box2($b->x0 + $dx, $b->y0 + $dy, $b->x1 + $dx, $b->y1 + $dy), $this->jambs),
            reveals: array_map(static fn (TurnedOpening $r): TurnedOpening => $r->moved($dx, $dy), $this->reveals),
            dressings: array_map(static fn (PrintedShape $s): PrintedShape => $s->moved($dx, $dy), $this->dressings),
            weather: $this->weather?->moved($dy),
            sweeps: array_map(static fn (Sweep $s): Sweep => $s->moved($dx, $dy), $this->sweeps),
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
        return $this->pattern->ground();
    }

    public function toArray(): array
    {
        return $this->pattern->rule() + [
            'datum' => round($this->datum, 4), 'swapped' => $this->swapped,
            'quoins' => array_map(static fn (float $x): float => round($x, 4), $this->quoins),
            'jambs' => array_map(
                static fn (Box2 $jamb): array => [round($jamb->x0, 4), round($jamb->y0, 4), round($jamb->x1, 4), round($jamb->y1, 4)],
                $this->jambs,
            ),
        ] + $this->pattern->colours() + ['beyond' => $this->beyond]
            + ($this->sweeps === [] ? [] : ['sweeps' => array_map(static fn (Sweep $s): array => $s->toArray(), $this->sweeps)])
            + ($this->weather === null ? [] : ['weather' => $this->weather->toArray()])
            + ($this->receding === null ? [] : ['receding' => $this->receding->toArray()])
            + ($this->dressings === [] ? [] : [
                'dressings' => array_map(static fn (PrintedShape $s): array => $s->toArray(), $this->dressings),
            ])
            + ($this->reveals === [] ? [] : ['reveals' => array_map(static fn (TurnedOpening $r): array => $r->toArray(), $this->reveals)]);
    }
}
