<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use stdClass;

/** A block that is no more than a stack on another’s roof, and the chimney that has the same outside. Real millimetres. */
final readonly class StackBlock
{
    /** A brick, and the usual flue. */
    private const BRICK_MM = 228.6;

    /** @param  Block  $host  out of whose roof it comes */
    private function __construct(public Block $host, private Block $block)
    {
    }

    /** Null where it is none: it has openings, a roof that slopes, more than four square corners, or stands on no sloping roof. */
    public static function of(Building $building, string $id): ?self
    {
        foreach ($building->blocks as $block) {
            if ($block->id !== $id || ! self::isPlain($block)) {
                continue;
            }
            $middle = self::middle($block);
            foreach ($building->blocks as $host) {
                $isUnder = $host !== $block && $host->roof->kind->isPitched() && $host->standing()->contains($middle);
                if ($isUnder && $host->eaves->mm < $block->eaves->mm && self::slopes($host) !== []) {
                    return new self($host, $block);
                }
            }
        }

        return null;
    }

    private static function isPlain(Block $block): bool
    {
        $ring = $block->footprint->ring();
        if ($ring->count() !== 4 || ! in_array($block->roof->kind, [RoofKind::Flat, RoofKind::None], true) || $block->features !== []) {
            return false;
        }
        foreach ($block->walls as $i => $wall) {
            $turn = $ring->point($i + 1)->minus($ring->point($i))->dot($ring->point($i + 2)->minus($ring->point($i + 1)));
            if ($wall->openings !== [] || abs($turn) > Tolerance::MEET) {
                return false;
            }
        }

        return true;
    }

    private static function middle(Block $block): Vec2
    {
        $ring = $block->standing();

        return $ring->point(0)->plus($ring->point(2))->times(0.5);
    }

    /** @return list<int> edges from which a roof rises */
    private static function slopes(Block $host): array
    {
        return array_values(array_filter(
            array_keys($host->roof->edges),
            static fn (int $i): bool => $host->roof->edges[$i]->slopesFromEaves(),
        ));
    }

    /**
     * As a document describes it, over the nearest edge from which its roof rises.
     *
     * @param  string  $like  a length as this document writes them
     */
    public function chimney(string $id, string $like): stdClass
    {
        $ring = $this->host->standing();
        $middle = self::middle($this->block);
        $best = [INF, 0, 0.0];
        foreach (self::slopes($this->host) as $edge) {
            $way = $ring->point($edge + 1)->minus($ring->point($edge));
            $way = $way->times(1.0 / $way->length());
            $off = $middle->minus($ring->point($edge));
            $best = $way->cross($off) < $best[0] ? [$way->cross($off), $edge, $way->dot($off)] : $best;
        }
        [$in, $edge, $from] = $best;
        [$w, $d, $turn] = $this->turned($ring->point($edge + 1)->minus($ring->point($edge)));
        $said = static fn (float $mm): string => LengthFormat::like($like, $mm);
        $flue = max(self::BRICK_MM / 9.0, min(self::BRICK_MM, min($w, $d) - self::BRICK_MM));

        return (object) ([
            'kind' => 'chimney', 'id' => $id,
            'on' => (object) [
                'anchor' => 'slope', 'edge' => $this->host->footprint->edges[$edge], 'from' => $said($from), 'in' => $said($in),
            ],
            'w' => $said($w), 'd' => $said($d), 'h' => $said($this->block->eaves->mm - $this->host->base->mm), 'above' => 'base',
            'finish' => $this->block->walls[0]->finish->value, 'oversail' => 0, 'flashing' => 'none', 'flue' => $said($flue),
            'pots' => 'none',
        ] + (abs($turn) < Tolerance::FIGURE ? [] : ['turn' => round($turn, 6)]));
    }

    /** @return array{float, float, float} how wide it is along a way, how deep, and by how many degrees it is turned from that */
    private function turned(Vec2 $way): array
    {
        $ring = $this->block->standing();
        $own = $ring->point(1)->minus($ring->point(0));
        $turn = rad2deg(atan2($way->cross($own), $way->dot($own)));
        $quarters = (int) round($turn / 90.0);
        [$w, $d] = [$ring->edgeLength(0), $ring->edgeLength(1)];

        return $quarters % 2 === 0 ? [$w, $d, $turn - 90.0 * $quarters] : [$d, $w, $turn - 90.0 * $quarters];
    }
}
