<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\Kit;

/**
 * What an eye before the layout sees: faces that show and faces that need no detail, and what gives a cut building away.
 * docs/formulas.md#sight
 */
final readonly class SightReport
{
    /** What an eye tells apart, radians: one minute of arc. */
    private const EYE = M_PI / 180.0 / 60.0;

    /** Both ends are told as one where they look so much alike. */
    private const ALIKE_DEG = 0.05;

    /** How near a camera is held, mm. */
    private const CAMERA_MM = 200.0;

    /**
     * @param  list<SeenFace>  $faces
     * @param  list<array{key: string, shows: bool, text: string}>  $lines
     * @param  list<InsideSeen>  $insides
     * @param  list<PerspectiveReport>  $perspectives
     * @param  ?SightLines  $sight  of a building that is cut
     */
    private function __construct(
        public array $faces,
        public array $lines,
        public array $insides,
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
        $sight = SightLines::of($plot, $kit);
        $faces = SeenFaces::of($plot, $assembly, $kit);

        return new self(
            $faces,
            [...self::cut($sight, $plot, $kit), self::finest($plot, $kit)],
            InsideSeen::all($kit, SeenFaces::eyes($plot), $faces),
            PerspectiveReport::all($building, $kit),
            $sight,
        );
    }

    /** Whether an eye can tell that a building is cut; null where nobody says where the eye is, or nothing is cut. */
    public static function tells(Kit $kit): ?bool
    {
        $plot = $kit->modelled->building->plot;
        if ($plot?->eye === null || $kit->modelled->cut === null) {
            return null;
        }

        // Where no eye stands before it, all of them look at the cut.
        return SightLines::of($plot, $kit)?->shows() ?? true;
    }

    /** @return list<array{key: string, shows: bool, text: string}> what gives away that it is cut */
    private static function cut(?SightLines $s, Plot $plot, Kit $kit): array
    {
        if ($s === null) {
            return $kit->modelled->cut === null ? [] : [
                self::line('place', true, 'The eye stands nowhere before the building’s front: it looks at where the building is cut.'),
            ];
        }

        return [
            ...$s->beside === [] ? [] : [
                self::line('place', true, self::places($s->beside).' the eye is not before the building’s front, and looks at where it is cut.'),
            ],
            ...self::slopes($s), self::top($s), self::backscene($s), ...self::flanks($s, $plot),
        ];
    }

    /** @return array{key: string, shows: bool, text: string} */
    private static function line(string $key, bool $shows, string $text, float|string ...$figures): array
    {
        return ['key' => $key, 'shows' => $shows, 'text' => $figures === [] ? $text : vsprintf($text, $figures)];
    }

    /** @param  non-empty-list<EyePlace>  $places */
    private static function places(array $places): string
    {
        $words = array_map(static fn (EyePlace $p): string => $p->words(), $places);

        return count($words) === 1 ? 'From '.$words[0] : 'Between '.$words[0].' and '.$words[count($words) - 1];
    }

    /** How high the eye is, in words that go on. */
    private static function height(SightLines $s): string
    {
        return $s->eye->highest > $s->eye->height
            ? sprintf('the eye goes from %.0f to %.0f', $s->eye->height, $s->eye->highest)
            : sprintf('the eye is at %.0f', $s->eye->height);
    }

    /** @return list<array{key: string, shows: bool, text: string}> */
    private static function slopes(SightLines $s): array
    {
        $lines = [];
        if ($s->frontSlope !== null) {
            $from = $s->frontSlope[1];
            $lines[] = $s->eye->highest > $from
                ? self::line('front-slope', true, 'The front slope shows.')
                : self::line('front-slope', false, 'The front slope shows only from %.0f mm up; %s.', $from, self::height($s));
        }
        $lines[] = match (true) {
            $s->missingRear === null => self::line('rear', false, 'No rear slope is missing.'),
            $s->isRearMissed() => self::line(
                'rear',
                true,
                'It is noticed that there is no rear slope: from %s it would show %s, and %s.',
                $s->missingRear[1]->words(),
                $s->missingRear[0] > 0.0 ? sprintf('from %.0f mm up', $s->missingRear[0]) : 'from any height',
                self::height($s),
            ),
            default => self::line(
                'rear',
                false,
                'Nobody notices that there is no rear slope: only from %.0f mm up; %s.',
                $s->missingRear[0],
                self::height($s),
            ),
        };

        return $lines;
    }

    /** @return array{key: string, shows: bool, text: string} */
    private static function top(SightLines $s): array
    {
        $isSeen = $s->eye->highest > $s->topFrom;

        return match (true) {
            ! $isSeen => self::line('top', false, 'The back edge, %.1f mm up, is hidden until the eye is %.1f mm up; %s.', $s->top, $s->topFrom, self::height($s)),
            $s->squareFrom === null => self::line('top', true, 'The back edge, %.1f mm up, would show if it were cut level. Cut square or upright it never does.', $s->top),
            default => self::line(
                'top',
                $s->eye->highest > $s->squareFrom,
                'The top edge of the roof, %.1f mm up, would show if it were cut level. Cut square to the panel it shows from %.0f mm up; cut upright, never.',
                $s->top,
                $s->squareFrom,
            ),
        };
    }

    /** @return array{key: string, shows: bool, text: string} */
    private static function backscene(SightLines $s): array
    {
        [$down, $place] = $s->backscene;

        return self::line(
            'backscene',
            false,
            'Behind the top the backscene shows down to %.1f mm, from %s and as high as the eye goes: paint it at least so far. The card of the roof hides a little more.',
            $down,
            $place->words(),
        );
    }

    /** @return list<array{key: string, shows: bool, text: string}> */
    private static function flanks(SightLines $s, Plot $plot): array
    {
        if ($s->ends === []) {
            return [self::line('flank', false, 'The eye never looks past an end of the building: where its flanks stop does not show.')];
        }
        $lines = [];
        $isEven = count($s->ends) === 2
            && abs($s->ends[0]['join']->angle - $s->ends[1]['join']->angle) < self::ALIKE_DEG
            && abs($s->ends[0]['hidden'] - $s->ends[1]['hidden']) < self::ALIKE_DEG;
        foreach ($isEven ? [$s->ends[0]] : $s->ends as $end) {
            $join = $end['join'];
            $lines[] = self::line(
                'flank',
                $join->missingAcross() > 0.0,
                'From %s the eye looks past %s at %.1f°; %.1f mm of the depth that is missing would fill the view there.',
                $isEven ? 'the ends of its way' : $end['from']->words(),
                $isEven ? 'the flanks' : "the {$end['end']} flank",
                $join->angle,
                $join->missingAcross(),
            );
            $beside = array_map(static fn (array $one): array => self::beside($s, $plot, $one), $isEven ? $s->ends : [$end]);
            $lines = [...$lines, ...array_merge(...$beside), self::returned($end)];
            if ($s->gap > 0.0) {
                $lines[] = self::line(
                    'slot',
                    false,
                    'The slot before the backscene looks %.2f mm wide from there. Light at %.0f° throws a shadow on the backscene: falling to the eye’s side it shows %.2f mm wide, to the other %.2f.',
                    $join->slot(),
                    $plot->light,
                    $join->shadow($plot->light, true),
                    $join->shadow($plot->light, false),
                );
            }
        }

        return $lines;
    }

    /**
     * @param  array{join: Join, end: 'left'|'right', from: EyePlace, hidden: float, place: Vec2}  $end
     * @return list<array{key: string, shows: bool, text: string}>
     */
    private static function beside(SightLines $s, Plot $plot, array $end): array
    {
        $lines = [];
        $join = $end['join'];
        foreach ($plot->neighbours as $neighbour) {
            $beside = BesideJoin::of($neighbour, $plot, $s, $end);
            if ($beside === null) {
                continue;
            }
            $where = sprintf('%s, %.1f mm from the %s flank', $neighbour->name, $beside->away, $end['end']);
            if (! $beside->isTallEnough($s->top)) {
                $lines[] = self::line(
                    'neighbour',
                    true,
                    '%s, is not tall enough to hide where that ends: no higher than %.1f mm of its %.1f.',
                    $where,
                    max(0.0, min($beside->hiddenTo, $s->top)),
                    $s->top,
                );

                continue;
            }
            [$low, $high] = [$end['hidden'], min($join->angle, $beside->from)];
            $lines[] = $high <= $low
                ? self::line('neighbour', false, '%s, hides where that ends, wherever the eye is.', $where)
                : self::line(
                    'neighbour',
                    true,
                    '%s, hides where that ends from %.1f° on: at %.1f° a flank of %.1f mm would be deep enough. Between %.1f° and %.1f° it shows: fill that with a tree, a buttress, a lean-to or a fence.',
                    $where,
                    $beside->from,
                    $join->angle,
                    $join->depthThatHides($beside->away, $beside->front),
                    $low,
                    $high,
                );
        }

        return $lines;
    }

    /**
     * @param  array{join: Join, end: 'left'|'right', from: EyePlace, hidden: float, place: Vec2}  $end
     * @return array{key: string, shows: bool, text: string}
     */
    private static function returned(array $end): array
    {
        $join = $end['join'];

        return self::line(
            'return',
            false,
            '%sA quoin, pilaster or downpipe that stands 2 mm proud at the front’s corner hides where the flank ends up to %.1f°; one of %.1f mm, or the flank turned in by as much, hides it altogether.',
            $end['hidden'] > 0.0 ? sprintf('The building itself hides where that flank ends up to %.1f°. ', $end['hidden']) : '',
            $join->hiddenByReturn(2.0),
            $join->turnedIn(),
        );
    }

    /** @return array{key: string, shows: bool, text: string} what an eye can tell apart at the building */
    private static function finest(Plot $plot, Kit $kit): array
    {
        $away = INF;
        foreach ($kit->form->blocks as $block) {
            foreach (EyePlace::all($plot) as $place) {
                $away = min($away, $block->ring->contains($place->at) ? 0.0 : $block->ring->distanceTo($place->at));
            }
        }

        return self::line(
            'finest',
            false,
            'Judge it by eye from where you stand: at %.0f mm an eye tells %.2f mm apart, and what is finer need not be modelled. A camera held at %.0f mm would show %.1f times as much.',
            $away,
            $away * tan(self::EYE),
            self::CAMERA_MM,
            max(1.0, $away / self::CAMERA_MM),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'faces' => array_map(static fn (SeenFace $f): array => $f->toArray(), $this->faces),
            'lines' => $this->lines,
            'insides' => array_map(static fn (InsideSeen $i): array => $i->toArray(), $this->insides),
            'perspectives' => array_map(static fn (PerspectiveReport $p): array => $p->toArray(), $this->perspectives),
        ];
    }
}
