<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;

/** What a practitioner would remark on a chimney that can be made. docs/formulas.md#chimneys */
final readonly class StackRemarks
{
    public function __construct(private Stack $stack)
    {
    }

    /** @return array<string, string> sentences, by the codes of their checks */
    public function all(): array
    {
        $mm = static fn (float $mm): string => LengthFormat::trimmed($mm, 1).' mm';
        $flues = new Flues($this->stack);
        $opening = $this->openingUnder();
        $long = $this->stack->breast?->wide->length() ?? $this->stack->w;
        $isRod = $this->stack->said->text('pots_as') === 'rod' && $flues->open() > 0;
        $wide = $this->stack->mm('pot_w') - 2.0 * $this->stack->paper();

        return array_filter([
            'chimney.cut' => $this->stack->isCut()
                ? "is cut by the backscene to {$mm($long)} by {$mm($this->stack->d)}, and closed by a back of its own." : null,
            'chimney.upright' => $this->stack->roof->block->block->receding !== null
                ? 'stands upright and keeps its size, although its block recedes.' : null,
            'chimney.on-hip' => $this->isOnHip()
                ? 'goes through a hip: both slopes and what holds the hip are cut there. Move it onto one slope if the real one allows it.' : null,
            'chimney.over-opening' => $opening === null
                ? null : "stands over “{$opening->opening->style->name}”, so that nothing carries it there. Move it, or the opening.",
            'chimney.rods' => $isRod
                ? "wants {$flues->open()} pieces of rod, {$mm($wide)} thick and {$mm((new Pots($this->stack))->high())} long, bored at the top." : null,
        ], static fn (?string $text): bool => $text !== null);
    }

    private function isOnHip(): bool
    {
        $hole = $this->stack->hole();
        $own = $hole === null ? null : Hull::around($hole->points);
        if ($own === null) {
            return false;
        }
        foreach ($this->stack->roof->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    $rise = abs($facet->heightAt($line->from) - $facet->heightAt($line->to));
                    if (
                        Side::isOfKind($line->label, SideKind::Plane) && $rise > Tolerance::MEET
                        && $own->distanceTo(Hull::around([$line->from, $line->to])) < 0.0
                    ) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** An opening in a wall over which some of it stands. */
    private function openingUnder(): ?OpeningForm
    {
        $methods = $this->stack->roof->methods;
        foreach ($this->stack->roof->block->walls as $wall) {
            $at = array_map(
                static fn (Vec2 $p): Vec3 => new Vec3($p->x, $p->y, $wall->frame->origin->z),
                $this->stack->ring()->points,
            );
            $along = array_map(static fn (Vec3 $p): float => $wall->frame->project($p)->x, $at);
            $out = array_map($wall->frame->height(...), $at);
            $thick = $wall->isBuilt() ? $methods->stacks[$wall->wall->stack]->thickness_mm : 0.0;
            $isOver = $wall->isBuilt() && max($out) > -$thick && min($out) < 0.0;
            foreach ($isOver ? $wall->openings : [] as $opening) {
                if ((new Interval(min($along), max($along)))->overlaps(new Interval($opening->left, $opening->right()), Tolerance::MEET)) {
                    return $opening;
                }
            }
        }

        return null;
    }
}
