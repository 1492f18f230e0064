<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/**
 * A wing, lean-to, dormer or platform beside a block: over one of its edges, as large as goes with it. Real sizes in whole quarters of a
 * foot.
 */
final readonly class NewBlock
{
    public const KINDS = ['wing', 'lean-to', 'dormer', 'platform', 'block'];

    /** Its own edge that lies at the host's, by its number, and how. */
    private const MEETS = [
        'lean-to' => [2, 'back', 'against'], 'platform' => [2, 'back', 'against'], 'dormer' => [0, 'front', 'set-back'],
        'wing' => [3, 'left', 'against'], 'block' => [3, 'left', 'against'],
    ];

    private const LEAN_MM = 2438.4;

    private const DORMER_MM = 1524.0;

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  int  $edge  of the host
     * @param  float  $along  from its middle (0) to one of its ends (1 or -1)
     * @param  float  $size  by how much it is smaller than it would be
     */
    public function __construct(
        private Ruler $ruler,
        private string $kind,
        private stdClass $host,
        private int $edge,
        private float $along,
        private float $size,
    ) {
    }

    /**
     * The host's edge over which one of a kind is put where nobody says.
     *
     * @param  value-of<self::KINDS>  $kind
     */
    public static function usualEdge(string $kind): int
    {
        return $kind === 'wing' || $kind === 'block' ? 1 : 0;
    }

    /**
     * @param  string  $id  its own
     * @param  string  $hostId  of the host
     */
    public function document(string $id, string $hostId): stdClass
    {
        $names = Ruler::edges($this->host);
        $length = $this->ruler->lengthOfWall($this->host, $this->edge);
        $depth = $this->ruler->lengthOfWall($this->host, ($this->edge + 1) % count($names));
        [$own, $name, $relation] = self::MEETS[$this->kind];
        [$across, $deep] = $this->measures($length, $depth);
        $over = $this->kind === 'wing' || $this->kind === 'block' ? $deep : $across;
        $with = "$hostId.".($names[$this->edge] ?? $names[0]);
        $centre = (object) ['centre' => $name, 'with' => $with];
        if ($this->along !== 0.0) {
            $centre->by = LengthFormat::like('0ft', round($this->along * abs($length - $over) / 2.0 / 76.2) * 76.2);
        }
        $beside = (object) [$relation => $name, 'with' => $with];
        if ($relation === 'set-back') {
            $beside->by = self::feet($depth * 0.12);
        }
        $normal = $this->ruler->outwards($this->host, $this->edge);
        $turn = fmod($normal - ($own * 90.0 - 90.0) + ($relation === 'set-back' ? 0.0 : 180.0) + 720.0, 360.0);
        $finish = Ruler::finishOf($this->host);
        $walls = array_map(
            static fn (string $edge): stdClass => (object) ['edge' => $edge, 'finish' => $finish, 'openings' => []],
            ['front', 'right', 'back', 'left'],
        );

        return (object) ([
            'id' => $id, 'name' => ucfirst(str_replace('-', ' ', $id)),
            'footprint' => (object) ['rect' => [self::feet($across), self::feet($deep)]], 'eaves' => $this->eaves($depth),
            ...$turn === 0.0 ? [] : ['turn' => round($turn, 4)],
            'place' => [$beside, $centre], 'roof' => $this->roof(), 'walls' => $walls,
        ]);
    }

    /** @return array{float, float} along its own front, and deep */
    private function measures(float $length, float $depth): array
    {
        return match ($this->kind) {
            'lean-to' => [$this->size * $length * 0.5, min(self::LEAN_MM, $depth * 0.5)],
            'platform' => [$this->size * $length * 1.5, self::LEAN_MM],
            'dormer' => [self::DORMER_MM * $this->size, $depth * 0.4],
            default => [$this->size * $depth * 0.6, $this->size * $length * 0.8],
        };
    }

    private function eaves(float $depth): string
    {
        $eaves = $this->ruler->read($this->host->eaves ?? null);

        return match ($this->kind) {
            'lean-to' => self::feet($eaves * 0.6),
            'platform' => '3ft',
            'dormer' => self::feet($eaves + $depth * 0.22 * tan(deg2rad($this->pitch()))),
            default => self::feet($eaves),
        };
    }

    private function pitch(): float
    {
        $roof = ($this->host->roof ?? null) instanceof stdClass ? $this->host->roof : new stdClass;

        return is_numeric($roof->pitch ?? null) ? (float) $roof->pitch : 40.0;
    }

    private function roof(): stdClass
    {
        $overhang = (object) ['eaves' => '9in', 'verge' => '6in'];

        return (object) match ($this->kind) {
            'lean-to' => ['kind' => 'lean-to', 'pitch' => 25, 'overhang' => $overhang],
            'platform' => ['kind' => 'flat'],
            'dormer' => [
                'kind' => 'gable', 'ridge' => 'y', 'pitch' => $this->pitch(), 'overhang' => (object) ['eaves' => '6in', 'verge' => '6in'],
            ],
            default => [
                'kind' => 'gable', 'ridge' => 'x', 'pitch' => $this->pitch(), 'overhang' => $overhang,
                'edges' => [(object) ['edge' => 'left', 'kind' => RoofEdge::WALL]],
            ],
        };
    }

    private static function feet(float $mm): string
    {
        return LengthFormat::like('0ft', max(304.8, round($mm / 76.2) * 76.2));
    }
}
