<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** What a new building begins with: brick, without openings, in one of the common shapes, to be given its real figures. */
final readonly class Starter
{
    /** Metric buildings are laid out by these: brick and course come out whole, and whatever added up still does. */
    private const FOOT_MM = 300.0;

    private const INCH_MM = 25.0;

    /** The same in metres, with metric bricks. */
    public static function metric(string $name, StarterShape $shape = StarterShape::Single): stdClass
    {
        $imperial = json_decode(JsonText::encode(self::document($name, $shape)), true);
        $document = JsonText::decode((string) json_encode(self::inMetres($imperial)));
        $document->gauge = (object) ['brick' => '225mm', 'course' => '75mm', 'joint' => '10mm'];
        $document->name = $name;

        return $document;
    }

    private static function inMetres(mixed $value): mixed
    {
        if (is_array($value)) {
            return array_map(self::inMetres(...), $value);
        }
        $pattern = '/^(?:(\d+(?:\.\d+)?)ft)? ?(?:(\d+(?:\.\d+)?)in)?$/D';
        if (! is_string($value) || $value === '' || preg_match($pattern, $value, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            return $value;
        }
        $mm = (float) ($m[1] ?? '0') * self::FOOT_MM + (float) ($m[2] ?? '0') * self::INCH_MM;

        return $mm < 1000.0 ? LengthFormat::trimmed($mm, 1).'mm' : LengthFormat::trimmed($mm / 1000.0, 4).'m';
    }

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
                'trim' => ['held' => 'rebates'],
            ],
            'styles' => [
                'sash' => [
                    'kind' => 'window', 'w' => '3ft', 'h' => '5ft', 'head' => ['shape' => 'segmental', 'rise' => '4in'], 'reveal' => '2in',
                    'frame' => ['panes' => [2, 2], 'stile' => '3in', 'bar' => '3in', 'sash' => true],
                ],
                'door' => ['kind' => 'door', 'w' => '3ft 3in', 'h' => '7ft', 'head' => ['shape' => 'flat'], 'reveal' => '2in'],
            ],
            'blocks' => array_map(static fn (array $block): array => $block + ['walls' => $walls], $shape->blocks()),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
