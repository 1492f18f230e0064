<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use stdClass;

/** What a new building begins with: brick, without openings, in one of the common shapes, to be given its real figures. */
final readonly class Starter
{
    public static function document(string $name, StarterShape $shape = StarterShape::Single): stdClass
    {
        $walls = array_map(
            static fn (string $edge): array => ['edge' => $edge, 'finish' => 'brick-stretcher', 'openings' => []],
            Footprint::RECT,
        );

        return JsonText::decode((string) json_encode([
            'format' => BuildingReader::FORMAT, 'version' => 1, 'name' => $name, 'scale' => '1:76.2',
            'gauge' => ['brick' => '9in', 'course' => '3in', 'joint' => '3/8in'],
            'methods' => [
                'wall' => [
                    ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
                    ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core'],
                ],
                'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']],
                'corner' => 'butt', 'through' => 'front-and-back', 'base' => 'floor', 'braces' => 'auto',
                'skin' => ['corner' => 'overlap', 'overlap' => '1.8mm', 'opening' => 'folded'],
                'template' => ['stock' => 'label-0.12', 'side' => 'back', 'stays' => true],
            ],
            'styles' => [
                'sash' => [
                    'kind' => 'window', 'w' => '3ft', 'h' => '5ft', 'head' => ['shape' => 'segmental', 'rise' => '4in'], 'reveal' => '3in',
                    'frame' => ['panes' => [2, 2], 'stile' => '3in', 'bar' => '3in', 'sash' => true],
                ],
                'door' => ['kind' => 'door', 'w' => '3ft 3in', 'h' => '7ft', 'head' => ['shape' => 'flat'], 'reveal' => '3in'],
            ],
            'blocks' => array_map(static fn (array $block): array => $block + ['walls' => $walls], $shape->blocks()),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
