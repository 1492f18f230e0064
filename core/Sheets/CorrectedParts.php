<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\TemplateCorrection;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Score;
use Chartula\Core\Problem\Check;

/** Parts as they are printed: where a template is corrected, with that side farther out or in. docs/formulas.md#templates */
final readonly class CorrectedParts
{
    /**
     * @param  list<LabelledPart>  $parts
     * @param  list<Check>  $checks  corrections that nothing is printed by
     */
    private function __construct(public array $parts, public array $checks)
    {
    }

    /**
     * @param  list<TemplateCorrection>  $corrections
     * @param  list<LabelledPart>  $parts
     */
    public static function of(array $corrections, array $parts): self
    {
        $checks = [];
        $at = array_flip(array_map(static fn (LabelledPart $p): string => $p->part->id, $parts));
        foreach ($corrections as $correction) {
            $index = $at[$correction->part] ?? null;
            $made = $index === null ? null : self::corrected($parts[$index]->part, $correction);
            if ($index === null || $made === null) {
                $checks[] = self::unprinted($correction, $index === null ? null : $parts[$index]);

                continue;
            }
            $body = hash('sha256', $parts[$index]->body." $correction->side $correction->mm");
            $parts[$index] = $parts[$index]->with(part: $made, body: $body);
        }

        return new self(array_values($parts), $checks);
    }

    private static function unprinted(TemplateCorrection $correction, ?LabelledPart $part): Check
    {
        $by = LengthFormat::trimmed(abs($correction->mm), 2).' mm';

        return $part === null
            ? new Check(
                'template.no-part', Check::WARN, $correction->part,
                "A template was corrected by $by at its $correction->side ($correction->reason), but its part is not in the kit any more; take the correction out under Sheets.",
            )
            : new Check(
                'template.no-room', Check::STOP, $correction->part,
                "$part->label {$part->part->name} is printed as it is: at its $correction->side an opening or a fold is nearer than the $by that its template should be shorter by.",
                abs($correction->mm),
            );
    }

    /** Null where something is in the way. Between what is nearest to the side and the side itself the part is stretched. */
    private static function corrected(Part $part, TemplateCorrection $correction): ?Part
    {
        $isAcross = in_array($correction->side, ['left', 'right'], true);
        $way = in_array($correction->side, ['right', 'top'], true) ? 1.0 : -1.0;
        $along = static fn (Vec2 $p): float => $way * ($isAcross ? $p->x : $p->y);
        $outline = array_map($along, $part->outline->ring->points);
        $side = max($outline);
        $inner = array_filter(
            [...$outline, ...array_map($along, self::within($part))],
            static fn (float $at): bool => $at < $side - Tolerance::MEET,
        );
        $near = $inner === [] ? -INF : max($inner);
        if ($side - $near + $correction->mm < Tolerance::MEET) {
            return null;
        }
        $by = $isAcross ? new Vec2($way * $correction->mm, 0.0) : new Vec2(0.0, $way * $correction->mm);
        $moved = static fn (Vec2 $p): Vec2 => $along($p) < $side - Tolerance::MEET ? $p : $p->plus($by);
        $off = array_map(static fn (Vec2 $p): Vec2 => $moved($p)->minus($p), $part->outline->ring->points);
        // Where edges are bevelled both faces move alike.
        $ring = static fn (Ring $r): Ring => new Ring(array_map(static fn (Vec2 $p, Vec2 $o): Vec2 => $p->plus($o), $r->points, $off));
        $inside = $part->outline->inside;

        return $part->with(
            outline: new Outline($ring($part->outline->ring), $part->outline->edges, $inside === null ? null : $ring($inside)),
            // Folds that run out to the side run on to where it now is.
            scores: array_map(
                static fn (Score $s): Score => new Score($moved($s->from), $moved($s->to), $s->fold, $s->degrees, $s->scoreOn),
                $part->scores,
            ),
            slits: array_map(static fn (array $s): array => [$moved($s[0]), $moved($s[1])], $part->slits),
        );
    }

    /** @return list<Vec2> what is cut and folded within it */
    private static function within(Part $part): array
    {
        return array_merge(
            ...array_map(static fn (Ring $r): array => $r->points, $part->holes),
            ...array_map(static fn (Score $s): array => [$s->from, $s->to], $part->scores),
            ...$part->slits,
        );
    }
}
