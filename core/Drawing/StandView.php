<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Kit\DryFit\Folding;
use Chartula\Core\Kit\DryFit\KitShape;
use Chartula\Core\Kit\DryFit\Piece;

/**
 * The kit as it stands, for a screen that only draws: each piece in its facets, the order in which they go together, and
 * which way each comes off. Read from the serialised kit alone. Model millimetres, z up.
 */
final readonly class StandView
{
    /** In which order things go together, by what they are. */
    private const PHASES = [
        'floor' => 'the floor', 'wall' => 'walls', 'brace' => 'braces', 'trim' => 'doors, windows, glass',
        'skin' => 'papers', 'roof' => 'the roof', 'strip' => 'the ridge',
    ];

    /** How far each comes off, as a part of the building's size, so that what lies outside goes further. */
    private const AWAY = ['floor' => 0.25, 'wall' => 0.3, 'brace' => 0.55, 'trim' => 0.5, 'skin' => 0.75, 'roof' => 0.7, 'strip' => 1.0];

    /**
     * @param  array<string, mixed>  $kit  serialised
     * @return array<string, mixed>
     */
    public static function of(array $kit, ?Plot $plot): array
    {
        $assembly = Assembly::of($kit);
        $box = self::box($assembly);
        $size = max($box[1] - $box[0], $box[3] - $box[2], $box[5] - $box[4]);
        $described = [];
        foreach ($assembly->kit->children('parts') as $part) {
            $described[$part->text('id')] = $part;
        }
        $pieces = array_values(
            array_map(static fn (Piece $piece): array => self::piece($piece, $described[$piece->part->id], $size), $assembly->pieces),
        );
        $rank = array_flip(array_keys(self::PHASES));
        usort($pieces, static fn (array $a, array $b): int => [$rank[$a['phase']], $a['key']] <=> [$rank[$b['phase']], $b['key']]);

        return [
            'box' => $box,
            'phases' => array_map(
                static fn (string $key, string $words): array => ['key' => $key, 'text' => $words],
                array_keys(self::PHASES),
                self::PHASES,
            ),
            'pieces' => $pieces,
            'joints' => array_map(
                static fn (KitShape $j): array => [$j->child('a')->text('part'), $j->child('b')->text('part'), $j->text('kind')],
                $assembly->kit->children('joints'),
            ),
            'eye' => $plot === null ? null : self::eye($plot, $box),
        ];
    }

    /** @return array{key: string, phase: key-of<self::PHASES>}&array<string, mixed> */
    private static function piece(Piece $piece, KitShape $described, float $size): array
    {
        $phase = self::phase($piece);
        $facets = $piece->part->isPaper() && $piece->part->folds !== [] ? Folding::facets($piece->part, $piece->frame) : $piece->facets;
        $away = self::direction($phase, $piece->frame)->times(self::AWAY[$phase] * $size);

        return [
            'key' => $piece->key(), 'part' => $piece->part->id, 'copy' => $piece->copy, 'label' => $described->text('label'),
            'name' => $described->text('name'), 'group' => $piece->part->group,
            'stock' => $described->text('stock'), 'phase' => $phase, 'layer' => $described->child('of')->text('layer'),
            'thickness' => $piece->part->thickness,
            'art' => $described->has('art'), 'tone' => $described->has('art') ? self::tone($described->child('art')) : null,
            'print' => $described->text('print'), 'away' => $away->toArray(),
            'stands' => self::stands($piece),
            'facets' => array_map(static fn (Facet $f): array => [
                'origin' => $f->frame->origin->toArray(), 'x' => $f->frame->x->toDirection(), 'y' => $f->frame->y->toDirection(),
                'outline' => $f->region->outline->toArray(), 'inside' => $f->inside?->toArray(),
                'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $f->region->holes),
            ], $facets),
        ];
    }

    /** @return key-of<self::PHASES> */
    private static function phase(Piece $piece): string
    {
        $group = $piece->part->group;

        return match (true) {
            $group === 'roof' => $piece->part->folds !== [] ? 'strip' : 'roof',
            $group === 'brace' => 'brace',
            $group === 'trim' => 'trim',
            $group === 'skin' => 'skin',
            default => abs($piece->frame->normal->z) > 0.5 ? 'floor' : 'wall',
        };
    }

    private static function direction(string $phase, Frame $frame): Vec3
    {
        return match ($phase) {
            'floor' => new Vec3(0.0, 0.0, -1.0),
            'brace', 'strip' => new Vec3(0.0, 0.0, 1.0),
            default => $frame->normal,
        };
    }

    /** Says in words where a piece stands, for a person who does not look at the picture. */
    private static function stands(Piece $piece): string
    {
        [$x0, $x1, $y0, $y1, $z0, $z1] = $piece->box;

        return sprintf('from %.1f to %.1f across, %.1f to %.1f back, %.1f to %.1f up', $x0 + 0.0, $x1, $y0 + 0.0, $y1, $z0 + 0.0, $z1);
    }

    /** @return array{float, float, float, float, float, float} */
    private static function box(Assembly $assembly): array
    {
        $box = [INF, -INF, INF, -INF, INF, -INF];
        foreach ($assembly->pieces as $piece) {
            foreach ([0, 2, 4] as $i) {
                $box[$i] = min($box[$i], $piece->box[$i]);
                $box[$i + 1] = max($box[$i + 1], $piece->box[$i + 1]);
            }
        }

        return $box;
    }

    /**
     * The eye before the middle of the plot's front, and how far it travels to each side, looking at the building.
     *
     * @param  array{float, float, float, float, float, float}  $box
     * @return ?array{at: array{float, float, float}, along: array{float, float, float}, travel: float, looks: array{float, float, float}}
     */
    private static function eye(Plot $plot, array $box): ?array
    {
        if ($plot->eye === null) {
            return null;
        }
        $turn = deg2rad($plot->turnDeg);
        $along = new Vec3(cos($turn), sin($turn), 0.0);
        $place = $plot->outline->bounds();
        $stand = $plot->inBuilding(new Vec2($place->centre()->x, $place->y0 - $plot->eye->distance));
        $at = new Vec3($stand->x, $stand->y, $plot->eye->height);
        $looks = new Vec3(($box[0] + $box[1]) / 2.0, ($box[2] + $box[3]) / 2.0, ($box[4] + $box[5]) / 2.0);

        return ['at' => $at->toArray(), 'along' => $along->toDirection(), 'travel' => $plot->eye->travel, 'looks' => $looks->toArray()];
    }

    /** The first of its colours, or of its first face's. */
    private static function tone(KitShape $art): ?string
    {
        $colours = $art->values['colours'] ?? null;

        return match (true) {
            is_array($colours) && is_string($colours[0] ?? null) => $colours[0],
            $art->has('faces') => self::tone($art->children('faces')[0]),
            default => null,
        };
    }
}
