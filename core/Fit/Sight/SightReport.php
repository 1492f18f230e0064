<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Site\Neighbour;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\Kit;

/**
 * What an eye before the layout sees: faces that show and faces that need no detail, and what gives a cut building away.
 * docs/formulas.md#sight
 */
final readonly class SightReport
{
    /** Light from a window or a lamp beside the layout falls at this angle off the normal of the backscene. */
    private const LIGHT_DEG = 30.0;

    /**
     * @param  list<SeenFace>  $faces
     * @param  list<array{key: string, shows: bool, text: string}>  $lines
     * @param  list<PerspectiveReport>  $perspectives
     * @param  ?SightLines  $sight  of a building that is cut
     */
    private function __construct(
        public array $faces,
        public array $lines,
        private array $perspectives,
        public ?SightLines $sight,
    ) {
    }

    /** Null where nobody says from where it is looked at. */
    public static function of(Building $building, Kit $kit, Assembly $assembly): ?self
    {
        $plot = $building->plot;
        if ($plot?->eye === null) {
            return null;
        }
        $sight = $kit->modelled->cut === null ? null : self::sight($plot, $kit);

        return new self(
            SeenFaces::of($plot, $assembly, $kit),
            $sight === null ? [] : self::lines($sight, $plot, $kit),
            PerspectiveReport::all($building, $kit),
            $sight,
        );
    }

    private static function sight(Plot $plot, Kit $kit): ?SightLines
    {
        $front = self::front($kit->form);
        // The foremost plane that rises to the back is the front slope.
        $slope = null;
        foreach ($kit->form->facets as $facet) {
            $isFore = $kit->form->blocks[$facet->block]->ring->bounds()->y0 < $front + 0.01;
            $slope = $isFore && $facet->gradient()->y > 0.01 && ($slope === null || $facet->gradient()->y > $slope->gradient()->y)
                ? $facet
                : $slope;
        }
        $cut = $kit->modelled->cut;
        if ($slope === null || $cut === null) {
            return null;
        }
        $block = $kit->form->blocks[$slope->block];
        [$ridge, $ridgeAt] = ReliefTable::ridge($kit->compressed->building);
        $ends = array_merge(
            ...array_map(
                static fn (BlockForm $b): array => array_map(static fn (Vec2 $p): float => $p->x, $b->ring->points),
                $kit->form->blocks,
            ),
        );
        $eyes = SeenFaces::eyes($plot);
        $xs = array_map(static fn (Vec3 $e): float => $e->x, $eyes);

        return new SightLines(
            $front - $eyes[0]->y, $eyes[0]->z,
            max(0.0, max([0.0, ...$xs]) - max([0.0, ...$ends]), min([0.0, ...$ends]) - min([0.0, ...$xs])),
            $block->eaves, $slope->pitch, $ridge, $ridgeAt - $front,
            $cut['whole'], $cut['depth'], self::topAt($kit->form, $front + $cut['depth'], $block->eaves),
            $plot->backscene === [] ? 0.0 : $plot->gap,
        );
    }

    private static function front(Form $form): float
    {
        return min(array_map(static fn (BlockForm $b): float => $b->ring->bounds()->y0, $form->blocks));
    }

    private static function topAt(Form $form, float $y, float $eaves): float
    {
        $top = $eaves;
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->outline->points as $p) {
                    $top = abs($p->y - $y) < 0.01 ? max($top, $facet->heightAt($p)) : $top;
                }
            }
        }

        return $top;
    }

    /** @return list<array{key: string, shows: bool, text: string}> */
    private static function lines(SightLines $s, Plot $plot, Kit $kit): array
    {
        $line = static fn (string $key, bool $shows, string $text, float ...$mm): array =>
            ['key' => $key, 'shows' => $shows, 'text' => vsprintf($text, $mm)];
        $lines = [
            $s->height > $s->frontSlopeFrom()
                ? $line('front-slope', true, 'The front slope shows.')
                : $line(
                    'front-slope',
                    false,
                    'The front slope shows only from %.0f mm up; the eye is at %.0f.',
                    $s->frontSlopeFrom(),
                    $s->height,
                ),
            $s->height > $s->missingRearFrom()
                ? $line(
                    'rear',
                    true,
                    'It is noticed that there is no rear slope: the eye, at %.0f mm, is above %.0f.',
                    $s->height,
                    $s->missingRearFrom(),
                )
                : $line(
                    'rear',
                    false,
                    'Nobody notices that there is no rear slope: only from %.0f mm up; the eye is at %.0f.',
                    $s->missingRearFrom(),
                    $s->height,
                ),
            $s->height > $s->levelCutFrom()
                ? $line(
                    'top',
                    $s->height > $s->squareCutFrom(),
                    'The top edge of the roof would show if it were cut level. Cut square to the panel it shows from %.0f mm up; cut upright, never.',
                    $s->squareCutFrom(),
                )
                : $line('top', false, 'The top edge of the roof does not show, however it is cut.'),
            $line(
                'backscene',
                false,
                'Behind the top the backscene shows down to %.1f mm: paint it at least so far.',
                $s->backsceneDownTo(),
            ),
        ];
        if ($s->aside > 0.0) {
            $lines[] = $line(
                'flank',
                $s->missingDepth() > 0.0,
                'From the end of its travel the eye looks past the flank at %.1f°; %.1f mm of the depth that is missing would fill the view there.',
                $s->flankDegrees(),
                $s->missingDepth(),
            );
            foreach (self::beside($plot, $kit) as [$neighbour, $away, $back]) {
                $needed = $s->depthThatHides($away, $back);
                $lines[] = $line(
                    'neighbour',
                    $s->depth < $needed,
                    $neighbour->name.', %.1f mm away, hides where the flank ends from a depth of %.1f mm.',
                    $away,
                    $needed,
                );
            }
            if ($s->gap > 0.0) {
                $lines[] = $line(
                    'slot',
                    false,
                    'The slot before the backscene looks %.2f mm wide from there; light from the other side throws a shadow on the backscene that shows %.2f mm wide.',
                    $s->slot(),
                    $s->shadow(self::LIGHT_DEG),
                );
            }
        } else {
            $lines[] = $line('flank', false, 'The eye never stands beyond an end of the building: its flanks do not show where they stop.');
        }

        return $lines;
    }

    /**
     * @return list<array{Neighbour, float, float}> how far beside the building each is, and how far its front lies behind the building's
     */
    private static function beside(Plot $plot, Kit $kit): array
    {
        $xs = $ys = [];
        foreach ($kit->form->blocks as $block) {
            foreach ($block->ring->points as $p) {
                $at = $plot->inPlot($p);
                [$xs[], $ys[]] = [$at->x, $at->y];
            }
        }
        $beside = [];
        foreach ($plot->neighbours as $neighbour) {
            $box = $neighbour->outline->bounds();
            $away = max(min($xs) - $box->x1, $box->x0 - max($xs));
            if ($away > 0.0) {
                $beside[] = [$neighbour, $away, max(0.0, $box->y0 - min($ys))];
            }
        }

        return $beside;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'faces' => array_map(static fn (SeenFace $f): array => $f->toArray(), $this->faces),
            'lines' => $this->lines,
            'perspectives' => array_map(static fn (PerspectiveReport $p): array => $p->toArray(), $this->perspectives),
        ];
    }
}
