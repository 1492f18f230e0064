<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Finish;
use Chartula\Core\Geometry\Ring;

/** What a thing takes of the face of a wall. The wall's frame, model millimetres; of a wall that recedes, that of the wall as it is. */
final readonly class Claim
{
    use CopiesWith;

    /**
     * @param  string  $id  that no other of its opening, or of its thing, has
     * @param  Ring  $ring  what it covers, counter-clockwise
     * @param  list<Ring>  $units  what it is of, with its joints left free
     * @param  float  $proud  of the wall, where it is raised
     * @param  array<int, string>  $accents  units in another colour, by their place
     * @param  ?Tone  $edge  in which what of it turns into the opening is printed, where that is another
     * @param  array<'foot'|'head'|'left'|'right', list<float>>  $finishes  edges of the opening that are its own, and where along them
     *     its joints are, from 0 to 1: from the left jamb, along a head from the right, up a jamb from the foot
     * @param  bool  $isOver  whether it lies on what else stands there
     * @param  int  $face  which of the faces of its thing's place it is on
     * @param  ?string  $opening  round which it stands; null where it stands on the wall itself
     * @param  bool  $isTooFine  whether nothing of it would be left to cut from card under its paper
     * @param  bool  $isBlocked  whether another block stands where it would be raised
     * @param  bool  $pierces  whether it goes through the wall, square to it: a hole in its card and its paper, and nothing is printed or
     *     raised
     * @param  bool  $stands  whether it stands upright on slopes, on which nothing else may lie there, or, where it pierces, goes upright
     *     through them; its ring is of the plan, in the building's axes
     * @param  bool  $isOwn  whether its kind makes itself what stands there: nothing is printed or raised for it, but it takes its place
     * @param  ?Ring  $shown  all that it takes up, where that is more than of the wall or of the slope: as it is seen from before the wall,
     *     or in plan
     * @param  ?Finish  $covering  with which the wall is covered there, under all else
     * @param  ?string  $paper  one of a person's own, in which that is printed
     * @param  ?string  $palette  one of a person's own, whose colours it has
     * @param  array<string, array<'foot'|'head'|'left'|'right', list<float>>>  $turned  the same as $finishes, by the openings of the wall
     */
    public function __construct(
        public string $id,
        public Feature $feature,
        public Ring $ring,
        public array $units,
        public Tone $tone,
        public HowMade $how,
        public float $proud,
        public array $finishes = [],
        public array $accents = [],
        public ?Tone $edge = null,
        public bool $isOver = false,
        public int $face = 0,
        public ?string $opening = null,
        public array $turned = [],
        public bool $pierces = false,
        public bool $isTooFine = false,
        public bool $isBlocked = false,
        public bool $stands = false,
        public bool $isOwn = false,
        public ?Ring $shown = null,
        public ?Finish $covering = null,
        public ?string $paper = null,
        public ?string $palette = null,
    ) {
    }

    /** Unlike that of any other on its wall: of what it is, and of which opening or thing. */
    public function key(): string
    {
        return "$this->id.".($this->opening ?? $this->feature->id);
    }

    /** The opening, or the thing, that it belongs to: what a person is led to. */
    public function owner(): string
    {
        return $this->opening ?? $this->feature->id ?? '';
    }

    /** Nothing but the hole for what goes through. */
    public static function through(string $id, Feature $feature, Ring $ring, int $face = 0): self
    {
        return new self($id, $feature, $ring, [], new Tone('#000000', '#000000'), HowMade::Printed, 0.0, face: $face, pierces: true);
    }

    /** A hole through the slopes over a ring of the plan. */
    public static function upright(string $id, Feature $feature, Ring $ring): self
    {
        return self::through($id, $feature, $ring)->with(stands: true);
    }

    /** The place on a wall of what its kind makes itself. */
    public static function own(string $id, Feature $feature, Ring $ring, float $proud): self
    {
        return new self($id, $feature, $ring, [], new Tone('#000000', '#000000'), HowMade::Raised, $proud, isOwn: true);
    }

    /** What it takes of the slopes under it, by standing on them. */
    public static function standing(string $id, Feature $feature, Ring $ring): self
    {
        return new self($id, $feature, $ring, [], new Tone('#000000', '#000000'), HowMade::Printed, 0.0, stands: true);
    }

    /** As if nothing of it were raised. */
    public function printed(): self
    {
        return $this->with(how: HowMade::Printed, proud: 0.0);
    }
}
