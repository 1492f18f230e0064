<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Kit\DryFit\Massing\Surface;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/**
 * The outside of the building, as its document describes it, is filled with card exactly. What the kit says of its own outside
 * is held to the same, and excuses nothing: a gap counts as closed only where a board or a paper that really stands there
 * closes it. docs/formulas.md#dry-fit
 */
final class CoverCheck
{
    /** @var list<Finding> */
    private array $findings = [];

    /** @var list<Excused> */
    private array $excused = [];

    public function __construct(
        private readonly Assembly $assembly,
        private readonly Massing $massing,
        private readonly Recall $recall,
    ) {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $surfaces = $this->massing->surfaces();
        $frames = array_map(static fn (Surface $s): Frame => $s->frame(), $surfaces);
        $kit = array_map(static fn (KitShape $s): array => [$s, $s->frame()], $this->assembly->kit->children('outside'));
        foreach ($surfaces as $i => $surface) {
            $flush = array_values(array_filter($surfaces, static fn (Surface $other, int $k): bool =>
                $other->kind() === $surface->kind() && self::isFlush($frames[$i], $frames[$k]), ARRAY_FILTER_USE_BOTH));
            $said = array_values(array_filter($kit, static fn (array $said): bool => self::isFlush($frames[$i], $said[1])));
            $pieces = $this->pieces($surface, $frames[$i]);
            $question = Recall::question(
                'cover',
                array_map(static fn (Surface $s): string => $s->key(), [$surface, ...$flush]),
                array_map(static fn (array $said): array => $said[0]->values, $said),
                array_map(static fn (Piece $p): string => $p->fingerprint, $pieces),
            );
            $answer = $this->recall->of($question, static fn (): Cover => Cover::of($surface, $flush, $said, $pieces));
            $this->tell($surface->name(), $answer);
        }
        $this->sizes();

        return $this->findings;
    }

    /** @return list<Excused> once all() has run */
    public function excused(): array
    {
        return $this->excused;
    }

    /** @return list<Piece> boards and papers that come near a surface */
    private function pieces(Surface $surface, Frame $frame): array
    {
        return array_values(array_filter(
            $this->assembly->pieces,
            static fn (Piece $p): bool => ($p->part->isPaper() || $p->part->edgesMustMeet())
                && $p->mayReach($frame, 2.0 * $surface->thickness() + Tolerance::COVER),
        ));
    }

    private function tell(string $name, Cover $cover): void
    {
        foreach ([
            ['outside.cover', $cover->missing, 'On the outside of %s card is missing over %.2f mm'],
            ['outside.cover', $cover->beyond, 'On the outside of %s card stands out over %.2f mm'],
            ['outside.unsaid', $cover->unsaid, 'The kit leaves out %2$.2f mm of the outside of %1$s, or says more of it than there is'],
            ['outside.gap', $cover->falseGap, 'The kit says that the outside of %s is open where it is not, over %.2f mm'],
        ] as [$code, $mm, $words]) {
            if ($mm > Tolerance::COVER) {
                $this->findings[] = new Finding($code, $name, sprintf($words, $name, $mm), $mm);
            }
        }
        if ($cover->excused !== null) {
            $this->excused[] = new Excused($name, ...$cover->excused);
        }
    }

    private static function isFlush(Frame $a, Frame $b): bool
    {
        return $a->normal->dot($b->normal) > 1.0 - Tolerance::UNIT && abs($a->height($b->origin)) < Tolerance::COVER;
    }

    private function sizes(): void
    {
        $scale = $this->assembly->kit->number('scale');
        foreach ($this->assembly->kit->children('outside') as $surface) {
            $real = $surface->has('real_mm') ? $surface->child('real_mm') : null;
            $box = $surface->ring('outline')->bounds();
            foreach ($real === null ? [] : [[$box->width(), $real->number('0')], [$box->height(), $real->number('1')]] as [$found, $size]) {
                if (abs($found - $size / $scale) > Tolerance::MEET) {
                    $name = $surface->text('name');
                    $this->findings[] = new Finding(
                        'outside.size',
                        $name,
                        sprintf('The outside of %s measures %.3f mm; the scale says %.3f mm', $name, $found, $size / $scale),
                        abs($found - $size / $scale),
                    );
                }
            }
        }
    }
}
