<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Finish;
use Chartula\Core\Form\Claims\Seen;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** A chimney as it is seen from far off: its sides from the roof up, its breast, its pots. docs/formulas.md#chimneys */
final readonly class StackFaces
{
    private Finish $finish;

    public function __construct(private Stack $stack)
    {
        $this->finish = Finish::from($stack->said->text('finish') ?? 'bare');
    }

    /** @return list<Seen> */
    public function all(): array
    {
        $faces = [...$this->breast(), ...$this->pots()];
        foreach ($this->stack->breast === null ? [0, 1, 2, 3] : [1, 2, 3] as $side) {
            $feet = $this->stack->breast !== null || $this->stack->tops[$side] === null
                ? $this->stack->paperFeet($side)
                : $this->stack->tops[$side]->points();
            $length = $this->stack->length($side);
            array_push($faces, ...$feet === [] ? [] : [$this->face(
                StackFrames::side($this->stack, $side),
                [...$feet, new Vec2($length, $this->stack->top), new Vec2(0.0, $this->stack->top)],
            )]);
        }

        return $faces;
    }

    /** @return list<Seen> its front in one with that of the stack, its sides and its shoulders */
    private function breast(): array
    {
        $breast = $this->stack->breast;
        if ($breast === null) {
            return [];
        }
        $faces = [$this->face(StackFrames::side($this->stack, 0), $breast->outline($this->stack->top))];
        $wide = $this->stack->overBreast();
        foreach ($breast->shoulders() as $side) {
            $faces[] = $this->face(
                StackFrames::side($wide, $side === 'left' ? 3 : 1),
                self::rectangle($breast->deep, $breast->foot, $breast->shoulder),
            );
            $long = hypot($breast->stepsIn($side), $breast->top - $breast->shoulder);
            $faces[] = $this->face(BreastCards::slope($this->stack, $breast, $side), self::rectangle($breast->deep, 0.0, $long));
        }

        return $faces;
    }

    /** @return list<Seen> four sides of each pot */
    private function pots(): array
    {
        $flues = new Flues($this->stack);
        [$half, $high] = [$this->stack->mm('pot_w') / 2.0, (new Pots($this->stack))->high()];
        $corner = $this->stack->ring()->point(0);
        $across = new Vec2(-$this->stack->along->y, $this->stack->along->x);
        $faces = [];
        foreach (array_slice($flues->places(), 0, $flues->open()) as $at) {
            $middle = $corner->plus($this->stack->along->times($at->x))->plus($across->times($at->y));
            foreach ([[1.0, 0.0], [0.0, 1.0], [-1.0, 0.0], [0.0, -1.0]] as [$x, $y]) {
                $out = $this->stack->along->times($x)->plus($across->times($y));
                $way = new Vec2(-$out->y, $out->x);
                $from = $middle->plus($out->times($half))->minus($way->times($half));
                $faces[] = new Seen(array_map(
                    static fn (Vec2 $p): Vec3 => new Vec3($from->x + $way->x * $p->x, $from->y + $way->y * $p->x, $p->y),
                    self::rectangle(2.0 * $half, $this->stack->top, $this->stack->top + $high),
                ), new Vec3($out->x, $out->y, 0.0), Finish::BrickStretcher);
            }
        }

        return $faces;
    }

    /** @return non-empty-list<Vec2> */
    private static function rectangle(float $wide, float $foot, float $top): array
    {
        return [new Vec2(0.0, $foot), new Vec2($wide, $foot), new Vec2($wide, $top), new Vec2(0.0, $top)];
    }

    /** @param  non-empty-list<Vec2>  $points */
    private function face(Frame $frame, array $points): Seen
    {
        return new Seen(array_map(static fn (Vec2 $p): Vec3 => $frame->at($p), $points), $frame->normal, $this->finish);
    }
}
