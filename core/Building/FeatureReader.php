<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Building\Feature\RoofLineKind;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Site\Track;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Reads `features`, of a block or of the plot: things that say where they are. */
final readonly class FeatureReader
{
    public const MOST = 100;

    /** Centred on the wall itself. */
    public const MIDDLE = 'middle';

    public function __construct(private Values $values, private Kinds $kinds)
    {
    }

    /** The list of a block. */
    public static function ofBlocks(Kinds $kinds): KindListType
    {
        return $kinds->placedAt(Anchor::OF_BLOCKS, 'Thing', self::MOST);
    }

    /** The list of the building as a whole. */
    public static function ofThePlot(Kinds $kinds): KindListType
    {
        return $kinds->placedAt(Anchor::OF_THE_PLOT, 'Thing', self::MOST);
    }

    /** The one key under which such a list stands. */
    public static function set(string $name, KindListType $list): FieldSet
    {
        return new FieldSet($name, Field::optional('features', 'Things', $list)->saying('each with a place of its own'));
    }

    /** @return list<Feature> of the plot that could be read */
    public function onThePlot(?Node $node, ?Plot $plot): array
    {
        $features = [];
        $tracks = array_map(static fn (Track $t): string => $t->id, $plot->tracks ?? []);
        foreach ($this->read($node, self::ofThePlot($this->kinds)) as [$feature, $on]) {
            if ($plot === null) {
                $on->node->fault('thing.no-plot');
            }
            if ($on->text('track') !== null && ! in_array($on->text('track'), $tracks, true)) {
                $on->at('track')?->fault('thing.no-track', ['given' => $on->text('track')]);
            }
            $spot = $on->models('spot');
            $features[] = $feature->with(place: $this->place($on)->with(
                track: $on->text('track'),
                along: $on->model('along')->mm ?? 0.0,
                off: $on->model('off')->mm ?? 0.0,
                at: count($spot) === 2 ? new Vec2($spot[0]->mm, $spot[1]->mm) : null,
            ));
        }

        return $features;
    }

    /**
     * @param  list<Wall>  $walls
     * @param  list<Storey>  $storeys
     * @return list<Feature> of a block that could be read
     */
    public function ofBlock(?Node $node, ?Footprint $footprint, array $walls, array $storeys): array
    {
        $all = $this->read($node, self::ofBlocks($this->kinds));
        if ($footprint === null) {
            return [];
        }
        $others = [];
        foreach ($all as [$feature, $on]) {
            $others[$feature->id ?? ''] = $on->text('feature');
        }
        $features = [];
        foreach ($all as [$feature, $on]) {
            $place = $this->place($on);
            $isSound = match ($place->anchor) {
                Anchor::Corner => self::isCorner($on, $footprint),
                Anchor::Feature => self::standsOn($on, $feature->id ?? '', $others),
                Anchor::Floor => self::isFloor($on, $storeys),
                default => self::isAlong($on, $footprint, $walls),
            };
            if ($isSound) {
                $features[] = $feature->with(place: $this->placed(self::centred($place, $on, $footprint, $walls), $on, $footprint));
            }
        }

        return $features;
    }

    /** @return list<array{Feature, Fields}> with what is said of where each is */
    private function read(?Node $node, KindListType $type): array
    {
        $read = [];
        $ids = [];
        foreach ($node === null ? [] : $type->entries($node, $this->values) as $said) {
            $on = $said->group('on');
            $number = (int) substr((string) strrchr($said->node->path, '.'), 1) + 1;
            $id = $said->at('id') === null ? "thing-$number" : $said->text('id');
            if ($on === null || $id === null) {
                continue;
            }
            if (isset($ids[$id])) {
                ($said->at('id') ?? $said->node)->fault('id-twice', ['given' => $id]);
            }
            $ids[$id] = true;
            $read[] = [$this->kinds->made([$said])[0]->with(id: $id), $on];
        }

        return $read;
    }

    private function place(Fields $on): Place
    {
        return new Place(
            Anchor::from($on->text('anchor') ?? ''),
            $on->path,
            openings: array_values($on->texts('openings')),
            corner: $on->count('corner'),
            level: $on->count('level') ?? 0,
            line: RoofLineKind::tryFrom($on->text('line') ?? ''),
            nth: ($on->count('nth') ?? 1) - 1,
            feature: $on->text('feature'),
            storey: $on->text('storey'),
            from: $on->real('from'),
            to: $on->real('to'),
            up: $on->real('up'),
            upTo: $on->real('up_to'),
            turnDeg: $on->number('turn') ?? 0.0,
        );
    }

    /**
     * Counted from the left end of its wall, whatever it is centred on.
     *
     * @param  list<Wall>  $walls
     */
    private static function centred(Place $place, Fields $on, Footprint $footprint, array $walls): Place
    {
        $edge = array_search($on->text('edge'), $footprint->edges, true);
        $over = $on->text('over');
        if ($edge === false || $over === null) {
            return $place;
        }
        $centre = $over === self::MIDDLE ? $footprint->length($edge)->mm / 2.0 : self::centres($walls[$edge])[$over] ?? 0.0;

        return $place->with(from: RealLength::ofMillimetres($centre + ($place->from->mm ?? 0.0)));
    }

    private function placed(Place $place, Fields $on, Footprint $footprint): Place
    {
        $at = $on->reals('at');
        $edge = array_search($on->text('edge'), $footprint->edges, true);
        $spot = count($at) === 2 ? new Vec2($at[0]->mm, $at[1]->mm) : null;
        if ($edge !== false && $place->anchor === Anchor::Slope) {
            // On a slope it is a place of the plan, whatever becomes of the roof over that.
            [$a, $b] = [$footprint->ring()->point($edge), $footprint->ring()->point($edge + 1)];
            $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));
            $in = $on->real('in')->mm ?? 0.0;
            $spot = $a->plus($along->times($place->from->mm ?? 0.0))->plus((new Vec2(-$along->y, $along->x))->times($in));
        }

        return $place->with(edge: $edge === false ? null : $edge, at: $spot);
    }

    private static function isCorner(Fields $on, Footprint $footprint): bool
    {
        $corner = $on->count('corner');
        if ($corner !== null && $corner >= $footprint->count()) {
            $most = $footprint->count() - 1;
            $on->at('corner')?->fault('number-out-of-range', ['given' => $corner, 'wanted' => "from 0 to $most"]);
        }
        [$foot, $top] = [$on->real('up'), $on->real('up_to')];
        if ($foot !== null && $top !== null && $top->mm <= $foot->mm) {
            $on->at('up_to')?->fault('thing.ends-before', ['given' => $top->text ?? '', 'from' => $foot->text ?? '0']);
        }

        return $corner !== null && $corner < $footprint->count();
    }

    /** @param  array<string, ?string>  $others  on what each thing stands, by its id */
    private static function standsOn(Fields $on, string $own, array $others): bool
    {
        $under = $on->text('feature');
        if ($under !== null && ! array_key_exists($under, $others)) {
            $on->at('feature')?->fault('thing.no-thing', ['given' => $under]);

            return false;
        }
        for ($i = 0; $under !== null && $i <= count($others); $i++) {
            if ($under === $own) {
                $on->at('feature')?->fault('thing.circle', ['given' => $on->text('feature') ?? '']);

                return false;
            }
            $under = $others[$under] ?? null;
        }

        return true;
    }

    /** @param  list<Storey>  $storeys */
    private static function isFloor(Fields $on, array $storeys): bool
    {
        $known = array_map(static fn (Storey $s): string => $s->id, $storeys);
        $named = $on->text('storey');
        if ($named !== null && ! in_array($named, $known, true)) {
            $on->at('storey')?->fault('unknown-storey', ['given' => $named, 'known' => implode(', ', $known)]);
        }

        return $on->reals('at') !== [];
    }

    /** @param  list<Wall>  $walls */
    private static function isAlong(Fields $on, Footprint $footprint, array $walls): bool
    {
        $edge = array_search($on->text('edge'), $footprint->edges, true);
        if ($edge === false) {
            if ($on->text('edge') !== null) {
                $known = implode(', ', $footprint->edges);
                $on->at('edge')?->fault('unknown-edge', ['given' => $on->text('edge'), 'known' => $known]);
            }

            return false;
        }
        $openings = array_map(strval(...), array_keys(self::centres($walls[$edge])));
        $over = $on->text('over');
        if ($over !== null && $over !== self::MIDDLE && ! in_array($over, $openings, true)) {
            $on->at('over')?->fault('thing.no-opening', ['given' => $over, 'known' => implode(', ', [self::MIDDLE, ...$openings])]);

            return false;
        }
        foreach ($on->texts('openings') as $i => $id) {
            if (! in_array($id, $openings, true)) {
                $on->at('openings')?->item($i)?->fault('thing.no-opening', ['given' => $id, 'known' => implode(', ', $openings)]);
            }
        }

        return self::isRun($on, $footprint->length($edge)->mm);
    }

    /** Whether it begins before it ends; on a wall, within that. */
    private static function isRun(Fields $on, float $length): bool
    {
        [$from, $to] = [$on->real('from'), $on->real('to')];
        if ($from !== null && $from->mm < 0.0 && $on->text('over') === null) {
            $on->at('from')?->fault('length.negative', ['given' => $from->text ?? '']);

            return false;
        }
        if ($from !== null && $to !== null && $to->mm <= $from->mm) {
            $on->at('to')?->fault('thing.ends-before', ['given' => $to->text ?? '', 'from' => $from->text ?? '0']);

            return false;
        }
        // What runs past the end of its wall is drawn so.
        foreach ($on->text('anchor') === Anchor::Wall->value ? ['from' => $from, 'to' => $to] : [] as $key => $end) {
            if ($end !== null && $end->mm > $length + Tolerance::MEET) {
                $on->at($key)?->fault('thing.past-wall', [
                    'given' => $end->text ?? '', 'length' => LengthFormat::like($end->text ?? '', $length),
                ]);
            }
        }

        return true;
    }

    /** @return array<string, float> the middles of all openings of a wall, one by one, real millimetres from its left end, by their ids */
    public static function centres(Wall $wall): array
    {
        $centres = [];
        foreach ($wall->openings as $opening) {
            foreach (range(0, $opening->count - 1) as $i) {
                $centres[$opening->copyId($i)] = $opening->extent($i)->middle();
            }
        }

        return $centres;
    }
}
