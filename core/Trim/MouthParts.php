<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Mouth;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Shell\BaseParts;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Layer;

/**
 * The inside of an opening that looks deeper than it is: floor, sides, top and end, each with its taper, stuck behind the wall.
 * Within, x runs along the wall, y from its outside to the back, z up from its foot; model millimetres. docs/formulas.md#mouth
 */
final readonly class MouthParts
{
    /** It is so much larger than the opening on each side, so that its edges hide behind the wall. */
    private const LIP_MM = 0.5;

    /** The end reaches so far past what stands before it. */
    private const MARGIN_MM = 0.5;

    /** So many units of apparent depth are drawn on it. */
    private const UNITS = 6;

    private float $t;

    private float $left;

    private float $right;

    private float $foot;

    private float $head;

    /** Sines of how far the sides, the floor and the top lean from square to the wall. */
    private float $side;

    private float $rise;

    private float $fall;

    private function __construct(
        private Building $building,
        private Walls $walls,
        private WallSpan $span,
        private OpeningForm $opening,
        private OnePoint $view,
        private float $start,
        private float $end,
        private Layer $layer,
    ) {
        $this->t = $layer->thickness_mm;
        $this->left = $opening->left - self::LIP_MM;
        $this->right = $opening->right() + self::LIP_MM;
        $this->foot = self::foot($building, $opening, $this->t);
        $this->head = $opening->top() + self::LIP_MM;
        $lean = static fn (float $off): float => sin(atan($off / $view->vanishing()));
        $this->side = $lean(($this->right - $this->left) / 2.0);
        $this->rise = $lean($view->axis - $this->foot);
        $this->fall = $lean($this->head - $view->axis);
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        $set = new PartSet;
        foreach ($building->perspective->mouths ?? [] as $mouth) {
            $problems = new Problems;
            $self = self::of($building, $walls, $mouth, $problems);
            $set = $self === null ? $set : $set->with($self->parts());
        }

        return $set;
    }

    /**
     * How each recedes, in the axes of its wall, which is told too.
     *
     * @return list<array{Mouth, OnePoint, WallForm}>
     */
    public static function views(Building $building, Walls $walls): array
    {
        $views = [];
        foreach ($building->perspective->mouths ?? [] as $mouth) {
            $self = self::of($building, $walls, $mouth, new Problems);
            if ($self !== null) {
                $views[] = [$mouth, $self->view, $self->span->form];
            }
        }

        return $views;
    }

    public static function collectFaults(Building $building, Walls $walls, Problems $problems): void
    {
        foreach ($building->perspective->mouths ?? [] as $mouth) {
            self::of($building, $walls, $mouth, $problems);
        }
    }

    /** How it recedes, in the axes of its wall; null, and a fault, where it cannot be made. */
    private static function of(Building $building, Walls $walls, Mouth $mouth, Problems $problems): ?self
    {
        $found = self::opening($building, $walls, $mouth->opening);
        if ($found === null) {
            $problems->add("$mouth->path.opening", 'mouth.no-opening', ['given' => mb_substr($mouth->opening, 0, 60)]);

            return null;
        }
        [$span, $opening] = $found;
        $eye = $building->plot?->eye === null ? null : $building->plot->eyeAt(0.0);
        $distance = $eye === null ? 0.0 : $span->form->frame->height(new Vec3($eye->x, $eye->y, $span->form->frame->origin->z));
        $fault = match (true) {
            $opening->opening->style->kind !== 'open' => ['opening', 'mouth.shut'],
            $opening->true !== null => ['opening', 'mouth.recedes'],
            $eye === null => ['opening', 'perspective.no-eye'],
            $distance <= 0.0 => ['opening', 'mouth.faces-away'],
            default => null,
        };
        if ($fault !== null) {
            $problems->add("$mouth->path.$fault[0]", $fault[1], ['given' => mb_substr($mouth->opening, 0, 60)]);

            return null;
        }

        return self::within($building, $walls, $span, $opening, $mouth, $distance, $problems);
    }

    private static function within(Building $building, Walls $walls, WallSpan $span, OpeningForm $opening, Mouth $mouth, float $distance, Problems $problems): ?self
    {
        $layer = $span->stack->layers[$span->innermost()];
        $start = $span->stack->thickness_mm;
        $axis = $mouth->axis->mm ?? $opening->shape->height / 2.0;
        $foot = self::foot($building, $opening, $layer->thickness_mm);
        if ($mouth->depth->mm < $start + 2.0 * $layer->thickness_mm) {
            $problems->add("$mouth->path.depth", 'relief.shallow', ['given' => round($mouth->depth->mm, 2), 'least' => round($start + 2.0 * $layer->thickness_mm, 2)]);

            return null;
        }
        if ($opening->sill + $axis < $foot || $axis > $opening->shape->height) {
            $problems->add("$mouth->path.axis", 'mouth.axis', ['given' => round($axis, 2), 'least' => round($foot - $opening->sill, 2), 'most' => round($opening->shape->height, 2)]);

            return null;
        }
        try {
            $view = OnePoint::of(new Vec2(($opening->left + $opening->right()) / 2.0, -$distance), $start, $mouth->depth->mm - $start, $mouth->apparent->mm - $start, $opening->sill + $axis);
        } catch (InvalidInput) {
            $problems->add("$mouth->path.apparent", 'perspective.no-deeper', ['apparent' => round($mouth->apparent->mm, 2), 'depth' => round($mouth->depth->mm, 2)]);

            return null;
        }
        $self = new self($building, $walls, $span, $opening, $view, $start, $mouth->depth->mm, $layer);
        if (! $self->hasRoom($walls->form)) {
            $problems->add("$mouth->path.depth", 'mouth.no-room', ['given' => round($mouth->depth->mm, 2), 'block' => $span->block->name]);

            return null;
        }

        return $self;
    }

    /** @return ?array{WallSpan, OpeningForm} */
    private static function opening(Building $building, Walls $walls, string $key): ?array
    {
        foreach ($walls->spans() as $span) {
            foreach ($span->isBuilt() ? $span->form->openings : [] as $opening) {
                if ($span->block->id.'.'.$span->name().'.'.$opening->id === $key) {
                    return [$span, $opening];
                }
            }
        }

        return null;
    }

    /** Where its floor begins: behind the sill, or on top of the building's own. */
    private static function foot(Building $building, OpeningForm $opening, float $thickness): float
    {
        return max($opening->sill - self::LIP_MM, BaseParts::topOf($building) + $thickness);
    }

    /** What its end comes to stand against is still inside its block. */
    private function hasRoom(Form $form): bool
    {
        $ring = $form->solids[$this->span->form->block]->ring;
        foreach ([$this->left, $this->right] as $x) {
            $at = $this->place($this->across($x, $this->end), $this->end + $this->t, 0.0);
            if (! $ring->contains(new Vec2($at->x, $at->y))) {
                return false;
            }
        }

        return true;
    }

    private function parts(): PartSet
    {
        $id = $this->span->block->id.'.'.$this->span->name().'.mouth.'.$this->opening->id;
        $wide = $this->t / sqrt(1.0 - $this->side ** 2);
        $edge = fn (float $x, float $by, float $y): float => $this->across($x, $y) + $by;
        [$back, $floorBack, $topBack] = [$this->end - $this->t * $this->side, $this->end - $this->t * $this->rise, $this->end - $this->t * $this->fall];
        // Each from its front edge round, as it is seen from within.
        $faces = [
            'floor' => [[$edge($this->left, -$wide, $this->start), $this->start, $this->foot], [$edge($this->right, $wide, $this->start), $this->start, $this->foot],
                [$edge($this->right, $wide, $floorBack), $floorBack, $this->up($this->foot, $floorBack)], [$edge($this->left, -$wide, $floorBack), $floorBack, $this->up($this->foot, $floorBack)]],
            'right' => [[$this->right, $this->start, $this->foot], [$this->right, $this->start, $this->head],
                [$this->across($this->right, $back), $back, $this->up($this->head, $back)], [$this->across($this->right, $back), $back, $this->up($this->foot, $back)]],
            'top' => [[$edge($this->right, $wide, $this->start), $this->start, $this->head], [$edge($this->left, -$wide, $this->start), $this->start, $this->head],
                [$edge($this->left, -$wide, $topBack), $topBack, $this->up($this->head, $topBack)], [$edge($this->right, $wide, $topBack), $topBack, $this->up($this->head, $topBack)]],
            'left' => [[$this->left, $this->start, $this->head], [$this->left, $this->start, $this->foot],
                [$this->across($this->left, $back), $back, $this->up($this->foot, $back)], [$this->across($this->left, $back), $back, $this->up($this->head, $back)]],
        ];
        $parts = [];
        foreach ($faces as $name => $face) {
            $parts[$name] = $this->part("$id.$name", ucfirst($name).' of the inside', $face, $this->drawn($name));
        }
        $parts['end'] = $this->part("$id.end", 'End of the inside, black', $this->endFace($wide), []);

        return new PartSet(array_values($parts), [...$this->behind($parts), ...$this->among($parts)]);
    }

    /** @return non-empty-list<array{float, float, float}> */
    private function endFace(float $wide): array
    {
        $over = self::MARGIN_MM + $wide;
        $down = static fn (float $lean, float $t): float => self::MARGIN_MM + $t / sqrt(1.0 - $lean ** 2);
        [$x0, $x1] = [$this->across($this->left, $this->end) - $over, $this->across($this->right, $this->end) + $over];
        [$z0, $z1] = [$this->up($this->foot, $this->end) - $down($this->rise, $this->t), $this->up($this->head, $this->end) + $down($this->fall, $this->t)];
        // It stands on the building's own floor at the lowest.
        $z0 = max($z0, BaseParts::topOf($this->building));

        return [[$x0, $this->end, $z0], [$x1, $this->end, $z0], [$x1, $this->end, $z1], [$x0, $this->end, $z1]];
    }

    /** Where a line along x comes to lie at a true depth. */
    private function across(float $x, float $y): float
    {
        return $this->view->eye->x + ($x - $this->view->eye->x) * $this->view->scaleAtTrue($y - $this->start);
    }

    private function up(float $z, float $y): float
    {
        return $this->view->axis + ($z - $this->view->axis) * $this->view->scaleAtTrue($y - $this->start);
    }

    private function place(float $x, float $y, float $z): Vec3
    {
        return $this->span->form->frame->point($x, $z, -$y);
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $face  its corners, the front edge first, counter-clockwise from within
     * @param  list<array{array{float, float, float}, array{float, float, float}, string}>  $drawn
     */
    private function part(string $id, string $name, array $face, array $drawn): Part
    {
        $corners = array_map(fn (array $p): Vec3 => $this->place(...$p), $face);
        $along = $corners[1]->minus($corners[0]);
        $along = $along->times(1.0 / $along->length());
        $normal = $along->cross($corners[3]->minus($corners[0]));
        $normal = $normal->times(1.0 / $normal->length());
        $frame = new Frame($corners[0], $along, $normal->cross($along));
        $ring = new Ring(array_map($frame->project(...), $corners));
        $marks = array_map(fn (array $line): Mark => new Mark([$frame->project($this->place(...$line[0])), $frame->project($this->place(...$line[1]))], $line[2]), $drawn);
        $box = $ring->bounds();
        $style = $this->opening->opening->style;
        $sizes = [Figure::measured($style->w, $this->building->scale, 'opening'), Figure::measured($style->h, $this->building->scale, 'opening')];
        $isUpright = abs($along->z) > 0.5;
        $depth = Figure::given($this->end, 'true depth')->less($this->start, 'less the wall');

        return Part::of($id, 'M', $name, 'trim', $this->layer->stock, $this->t, new Outline($ring, [new Edge('front', 'clearance'), new Edge('side', 'clearance'), new Edge('back', 'clearance'), new Edge('other side', 'clearance')]), [$frame], [
            'width' => $sizes[$isUpright ? 1 : 0]->to($box->width(), 'lips, card beside it, and its taper'),
            'height' => (str_ends_with($id, '.end') ? $sizes[1] : $depth)->to($box->height(), 'along its slope'),
        ], marks: $marks);
    }

    /**
     * Lines that aim at one point, and units of equal apparent depth.
     *
     * @return list<array{array{float, float, float}, array{float, float, float}, string}>
     */
    private function drawn(string $name): array
    {
        $lines = [];
        $isSide = $name === 'left' || $name === 'right';
        $x = $name === 'left' ? $this->left : $this->right;
        $z = $name === 'top' ? $this->head : $this->foot;
        $course = $this->building->gauge->course_mm / $this->building->scale->ratio;
        if ($isSide && $this->span->form->isPapered) {
            for ($level = $this->opening->sill + $course; $level < $this->head; $level += $course) {
                if ($level > $this->foot) {
                    $lines[] = [[$this->across($x, $this->start), $this->start, $level], [$this->across($x, $this->end), $this->end, $this->up($level, $this->end)], ''];
                }
            }
        }
        for ($i = 1; $i < self::UNITS; $i++) {
            $apparent = $this->view->apparent * $i / self::UNITS;
            $y = $this->start + $this->view->trueDepth($apparent);
            $ends = $isSide ? [[$this->across($x, $y), $y, $this->up($this->foot, $y)], [$this->across($x, $y), $y, $this->up($this->head, $y)]]
                : [[$this->across($this->left, $y), $y, $this->up($z, $y)], [$this->across($this->right, $y), $y, $this->up($z, $y)]];
            $lines[] = [...$ends, $name === 'floor' ? sprintf('%.0f', $this->start + $apparent) : ''];
        }

        return $lines;
    }

    /**
     * Behind the wall.
     *
     * @param  array<string, Part>  $parts
     * @return list<Joint>
     */
    private function behind(array $parts): array
    {
        $joints = [];
        foreach (['floor', 'left', 'right', 'top'] as $name) {
            foreach ($this->walls->facing($this->span, false) as $piece) {
                $met = Meeting::onFace($parts[$name], 0, $piece->part, 'inside');
                if ($met !== null) {
                    $joints[] = new Joint('butt', Ref::edge($parts[$name]->id, 0), Ref::inside($piece->part->id), $met->ends, $met->length,
                        free_mm: max(0.0, $parts[$name]->outline->ring->edgeLength(0) - $met->length), why: 'stuck behind the wall, round the opening', touch: $met->touch === 'strip' ? null : $met->touch);
                }
            }
        }

        return $joints;
    }

    /**
     * Sides between floor and top, and all before the end.
     *
     * @param  array<string, Part>  $parts
     * @return list<Joint>
     */
    private function among(array $parts): array
    {
        $joints = [];
        foreach ([['left', 1, 'floor'], ['left', 3, 'top'], ['right', 3, 'floor'], ['right', 1, 'top'], ['floor', 2, 'end'], ['top', 2, 'end'], ['left', 2, 'end'], ['right', 2, 'end']] as [$one, $edge, $other]) {
            $met = Meeting::onFace($parts[$one], $edge, $parts[$other], 'outside');
            if ($met !== null) {
                $joints[] = new Joint('butt', Ref::edge($parts[$one]->id, $edge), Ref::outside($parts[$other]->id), $met->ends, $met->length,
                    free_mm: max(0.0, $parts[$one]->outline->ring->edgeLength($edge) - $met->length), touch: $met->touch === 'strip' ? null : $met->touch);
            }
        }

        return $joints;
    }
}
