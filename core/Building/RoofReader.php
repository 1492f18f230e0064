<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\PitchType;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;

/** Reads `roof`: the kind says what each edge does, `edges` says where one does otherwise. */
final readonly class RoofReader
{
    private FieldSet $fields;

    public function __construct(private Values $values)
    {
        $this->fields = RoofFields::set();
    }

    public function read(?Node $node, ?Footprint $footprint): ?Roof
    {
        $said = $node === null ? null : $this->fields->read($node, $this->values);
        $kind = RoofKind::tryFrom($said?->text('kind') ?? '');
        $ridge = $said?->oneOf('ridge', ['x', 'y']);
        $finish = Finish::tryFrom($said?->text('finish') ?? '');
        $parapet = $said?->real('parapet');
        if (
            $node === null || $said === null || $kind === null || $ridge === null || $footprint === null || $finish === null
            || $parapet === null
        ) {
            return null;
        }
        $upper = $kind === RoofKind::Mansard ? self::upper($said->group('upper')) : null;
        $kinds = self::kinds($kind, $ridge, $footprint, $this->low($node, $kind, $footprint));
        [$pitch, $rise] = self::pitch($said, $kind, self::run($kind, $ridge, $footprint, $kinds));
        if ($pitch === null || ($kind === RoofKind::Mansard && $upper === null)) {
            return null;
        }
        if ($upper !== null && $upper[0]->degrees >= $pitch->degrees) {
            $said->at('upper')?->fault('roof.upper-steeper', ['given' => $upper[0]->degrees, 'pitch' => $pitch->degrees]);
        }
        $edges = $this->edges($said, $footprint, $kinds, $pitch);

        return $edges === null
            ? null
            : self::covered(new Roof($kind, $ridge, $pitch, $rise, $edges, $upper, $parapet, $finish, $node->path), $said);
    }

    private static function covered(Roof $roof, Fields $said): Roof
    {
        return $roof->with(
            paper: $said->text('paper'), palette: $said->text('palette'),
            laid: RoofLaid::tryFrom($said->text('laid') ?? '') ?? RoofLaid::Paper, valleys: Valleys::tryFrom($said->text('valleys') ?? '') ?? Valleys::Close,
            ridge_colour: $said->text('ridge_colour'), row: self::row($said, $roof->finish), unit: $said->real('unit'),
        );
    }

    /** None where rows so far apart would leave no lap. */
    private static function row(Fields $said, Finish $finish): ?RealLength
    {
        [$row, $most] = [$said->real('row'), $finish->mostRow()];
        if ($row !== null && $most !== null && $row->mm > $most) {
            $said->at('row')?->fault('roof.no-lap', [
                'given' => LengthFormat::metric($row->mm), 'what' => $finish->words(), 'most' => LengthFormat::metric($most),
            ]);
        }

        return $row;
    }

    /** @return ?array{Angle, RealLength} */
    private static function upper(?Fields $said): ?array
    {
        $pitch = $said?->angle('pitch');
        $from = $said?->real('from');

        return $pitch === null || $from === null ? null : [$pitch, $from];
    }

    /** Finds the edge at which a lean-to is lowest: the one the document names, or the one across from a wall, or the front. */
    private function low(Node $node, RoofKind $kind, Footprint $footprint): int
    {
        if ($kind !== RoofKind::LeanTo) {
            return 0;
        }
        if ($node->get('low') !== null) {
            return EdgeName::read($node->get('low'), $footprint->edges) ?? 0;
        }
        foreach ($node->get('edges')?->items(FootprintReader::MOST_CORNERS) ?? [] as $item) {
            if ($item->get('kind')?->value === RoofEdge::WALL) {
                $edge = is_int($item->get('edge')?->value)
                    ? $item->get('edge')->value
                    : array_search($item->get('edge')?->value, $footprint->edges, true);

                return is_int($edge) && $footprint->count() === 4 ? ($edge + 2) % 4 : 0;
            }
        }

        return 0;
    }

    /** @return list<value-of<RoofEdge::KINDS>> what the kind says of each edge */
    private static function kinds(RoofKind $kind, string $ridge, Footprint $footprint, int $low): array
    {
        $kinds = [];
        $ring = $footprint->ring();
        $n = $footprint->count();
        for ($i = 0; $i < $n; $i++) {
            $isEnd = $footprint->rect !== null ? ($i % 2 === 1) === ($ridge === 'x')
                // The end of a wing: both corners point outwards, and both neighbours are longer.
                : $footprint->angle($i) < 180.0
                    && $footprint->angle(($i + 1) % $n) < 180.0
                    && $ring->edgeLength($i) <= min($ring->edgeLength($i - 1), $ring->edgeLength($i + 1));
            $kinds[] = match (true) {
                $kind === RoofKind::LeanTo => $i === $low
                    ? RoofEdge::SLOPE
                    : ($n === 4 && $i === ($low + 2) % 4 ? RoofEdge::WALL : RoofEdge::GABLE),
                $kind === RoofKind::Gable && $isEnd => RoofEdge::GABLE,
                $kind === RoofKind::HalfHip && $isEnd => RoofEdge::HALF_HIP,
                default => RoofEdge::SLOPE,
            };
        }

        return $kinds;
    }

    /**
     * @param  ?float  $run  the level way over which a rise is meant; null where that is not clear
     * @return array{?Angle, ?RealLength} the pitch, and the rise where it was given instead
     */
    private static function pitch(Fields $roof, RoofKind $kind, ?float $run): array
    {
        $rise = $roof->at('rise');
        if (! $kind->isPitched()) {
            return [Angle::ofDegrees(0.0), null];
        }
        if ($roof->at('pitch') !== null) {
            $rise?->fault('both-pitch-and-rise');

            return [$roof->angle('pitch'), null];
        }
        if ($rise === null) {
            $roof->node->missing('pitch');

            return [null, null];
        }
        if ($run === null) {
            $rise->fault('roof.rise-unclear');

            return [null, null];
        }
        $height = $roof->real('rise');

        return $height === null ? [null, null] : [PitchType::inRange($rise, rad2deg(atan($height->mm / $run))), $height];
    }

    /**
     * The level way over which a rise is meant.
     *
     * @param  list<value-of<RoofEdge::KINDS>>  $kinds
     */
    private static function run(RoofKind $kind, string $ridge, Footprint $footprint, array $kinds): ?float
    {
        if ($kind === RoofKind::LeanTo) {
            $ring = $footprint->ring();
            $low = (int) array_search(RoofEdge::SLOPE, $kinds, true);
            $along = $ring->point($low + 1)->minus($ring->point($low));

            return max(array_map(static fn ($p): float => $along->cross($p->minus($ring->point($low))) / $along->length(), $ring->points));
        }

        return $footprint->rect === null ? null : $footprint->rect[$ridge === 'x' ? 1 : 0]->mm / 2.0;
    }

    /**
     * @param  list<value-of<RoofEdge::KINDS>>  $kinds
     * @return ?list<RoofEdge>
     */
    private function edges(Fields $roof, Footprint $footprint, array $kinds, Angle $pitch): ?array
    {
        $given = self::given($roof, $footprint);
        $eaves = $roof->group('overhang')?->real('eaves');
        $verge = $roof->group('overhang')?->real('verge');
        if ($given === null || $eaves === null || $verge === null) {
            return null;
        }
        $edges = [];
        foreach ($kinds as $i => $usual) {
            $said = $given[$i] ?? null;
            $kind = $said?->oneOf('kind', RoofEdge::KINDS) ?? $usual;
            $out = $said?->real('overhang') ?? match ($kind) {
                RoofEdge::SLOPE => $eaves,
                RoofEdge::WALL => RealLength::ofMillimetres(0.0),
                default => $verge,
            };
            $from = $said?->real('from');
            if ($kind === RoofEdge::HALF_HIP && $from === null) {
                $from = RealLength::ofMillimetres($footprint->length($i)->mm / 4.0 * $pitch->tan());
            }
            $built = (new AsBuiltReader($this->values))->read($said?->raw('built'), AsBuilt::OF_PANELS);
            $edges[] = new RoofEdge($kind, $said?->angle('pitch') ?? $pitch, $out, $from, $said->node->path ?? $roof->node->path, $built);
        }

        return $edges;
    }

    /** @return ?array<int, Fields> what is said of edges, by their number; null where something of it is not sound */
    private static function given(Fields $roof, Footprint $footprint): ?array
    {
        $given = [];
        $isSound = true;
        foreach ($roof->list('edges') as $said) {
            $edge = EdgeName::read($said->raw('edge'), $footprint->edges);
            if ($edge === null) {
                continue;
            }
            if (isset($given[$edge])) {
                $said->at('edge')?->fault('edge-twice', ['given' => $footprint->edges[$edge]]);
            }
            $given[$edge] = $said;
            $isSound = $isSound && $said->areSound('kind', 'pitch', 'overhang');
        }

        return $isSound ? $given : null;
    }
}
