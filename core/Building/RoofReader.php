<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\RealLength;

/** Reads `roof`: the kind says what each edge does, `edges` says where one does otherwise. */
final readonly class RoofReader
{
    public const STEEPEST_DEG = 80.0;

    public function __construct(private Values $values)
    {
    }

    public function read(?Node $node, ?Footprint $footprint): ?Roof
    {
        if (
            $node === null
            || ! $node->isObject(['kind'], ['ridge', 'pitch', 'rise', 'edges', 'overhang', 'finish', 'upper', 'low', 'parapet'])
        ) {
            return null;
        }
        $kind = RoofKind::tryFrom($node->get('kind')?->choice(RoofKind::known()) ?? '');
        $ridge = $node->get('ridge') === null ? 'x' : $node->get('ridge')->choice(['x', 'y']);
        $finish = $node->get('finish') === null ? Finish::Bare : Finish::tryFrom($node->get('finish')->choice(Finish::known()) ?? '');
        $overhang = $this->overhang($node->get('overhang'));
        $upper = $kind === RoofKind::Mansard ? $this->upper($node) : null;
        $parapet = $this->values->real($node->get('parapet'), Sign::ZeroOrMore) ?? RealLength::ofMillimetres(0.0);
        if ($kind === null || $ridge === null || $footprint === null || $finish === null) {
            return null;
        }
        $kinds = self::kinds($kind, $ridge, $footprint, $this->low($node, $kind, $footprint));
        [$pitch, $rise] = $this->pitch($node, $kind, $ridge, $footprint, $kinds);
        if ($pitch === null || ($kind === RoofKind::Mansard && $upper === null)) {
            return null;
        }
        if ($upper !== null && $upper[0]->degrees >= $pitch->degrees) {
            $node->get('upper')?->fault('roof.upper-steeper', ['given' => $upper[0]->degrees, 'pitch' => $pitch->degrees]);
        }
        $edges = $this->edges($node, $footprint, $kinds, $pitch, $overhang);

        return $edges === null ? null : new Roof($kind, $ridge, $pitch, $rise, $edges, $upper, $parapet, $finish, $node->path);
    }

    /** @return array{eaves: RealLength, verge: RealLength} */
    private function overhang(?Node $node): array
    {
        $node?->isObject([], ['eaves', 'verge']);
        $zero = RealLength::ofMillimetres(0.0);

        return [
            'eaves' => $this->values->real($node?->get('eaves'), Sign::ZeroOrMore) ?? $zero,
            'verge' => $this->values->real($node?->get('verge'), Sign::ZeroOrMore) ?? $zero,
        ];
    }

    /** @return ?array{Angle, RealLength} */
    private function upper(Node $roof): ?array
    {
        $node = $roof->get('upper');
        if ($node === null) {
            $roof->missing('upper');

            return null;
        }
        $node->isObject(['pitch', 'from']);
        $pitch = $this->angle($node->get('pitch'));
        $from = $this->values->real($node->get('from'));

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
     * @param  list<value-of<RoofEdge::KINDS>>  $kinds
     * @return array{?Angle, ?RealLength}
     */
    private function pitch(Node $roof, RoofKind $kind, string $ridge, Footprint $footprint, array $kinds): array
    {
        $pitch = $roof->get('pitch');
        $rise = $roof->get('rise');
        if (! $kind->isPitched()) {
            return [Angle::ofDegrees(0.0), null];
        }
        if ($pitch !== null && $rise !== null) {
            $rise->fault('both-pitch-and-rise');
        }
        if ($pitch === null && $rise === null) {
            $roof->missing('pitch');

            return [null, null];
        }
        if ($pitch !== null) {
            return [$this->angle($pitch), null];
        }
        $run = self::run($kind, $ridge, $footprint, $kinds);
        if ($run === null) {
            $rise?->fault('roof.rise-unclear');

            return [null, null];
        }
        $height = $this->values->real($rise);

        return $height === null || $rise === null ? [null, null] : [$this->inRange($rise, rad2deg(atan($height->mm / $run))), $height];
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

    private function angle(?Node $node): ?Angle
    {
        $degrees = $node?->number();

        return $node === null || $degrees === null ? null : $this->inRange($node, $degrees);
    }

    private function inRange(Node $node, float $degrees): ?Angle
    {
        if (! ($degrees > 0.0 && $degrees < self::STEEPEST_DEG)) {
            $node->fault('roof.too-flat', ['given' => round($degrees, 3)]);

            return null;
        }

        return Angle::ofDegrees($degrees);
    }

    /**
     * @param  list<value-of<RoofEdge::KINDS>>  $kinds
     * @param  array{eaves: RealLength, verge: RealLength}  $overhang
     * @return ?list<RoofEdge>
     */
    private function edges(Node $roof, Footprint $footprint, array $kinds, Angle $pitch, array $overhang): ?array
    {
        /** @var array<int, Node> $given */
        $given = [];
        foreach ($roof->get('edges')?->items(FootprintReader::MOST_CORNERS) ?? [] as $item) {
            $item->isObject(['edge'], ['kind', 'pitch', 'overhang', 'from', 'built']);
            $edge = EdgeName::read($item->get('edge'), $footprint->edges);
            if ($edge === null) {
                continue;
            }
            if (isset($given[$edge])) {
                $item->get('edge')?->fault('edge-twice', ['given' => $footprint->edges[$edge]]);
            }
            $given[$edge] = $item;
        }
        $edges = [];
        foreach ($kinds as $i => $kind) {
            $item = $given[$i] ?? null;
            $kind = $item?->get('kind') === null ? $kind : $item->get('kind')->choice(RoofEdge::KINDS);
            $own = $item?->get('pitch') === null ? $pitch : $this->angle($item->get('pitch'));
            $out = $item?->get('overhang') === null
                ? match ($kind) {
                    RoofEdge::SLOPE => $overhang['eaves'],
                    RoofEdge::WALL => RealLength::ofMillimetres(0.0),
                    default => $overhang['verge'],
                } : $this->values->real($item->get('overhang'), Sign::ZeroOrMore);
            $from = $this->values->real($item?->get('from'));
            if ($kind === null || $own === null || $out === null) {
                return null;
            }
            if ($kind === RoofEdge::HALF_HIP && $from === null) {
                $from = RealLength::ofMillimetres($footprint->length($i)->mm / 4.0 * $pitch->tan());
            }
            $built = (new AsBuiltReader($this->values))->read($item?->get('built'), AsBuilt::OF_PANELS);
            $edges[] = new RoofEdge($kind, $own, $out, $from, $item->path ?? $roof->path, $built);
        }

        return $edges;
    }
}
