<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** One opening in the back of the weigh office, 72 by 38, in a wall of 0.64 on 2.12. */
final class Filled
{
    /**
     * @param  array<string, mixed>  $style
     * @param  array<string, mixed>  $more  of the document
     */
    public static function of(array $style, array $more = []): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $said = ['kind' => 'window', 'head' => (object) ['shape' => 'flat']];
        $all = [
            'methods.wall.1.stock' => 'greyboard-2', 'blocks.0.walls.0.openings' => [], 'blocks.0.walls.1.openings' => [],
            'styles.own' => (object) array_filter($style + $said, static fn (mixed $v): bool => $v !== null),
            'blocks.0.walls.2.openings' => [
                (object) ['id' => 'w1', 'style' => 'own', 'from' => '5ft 7in', 'sill' => ($style['kind'] ?? '') === 'door' ? '0ft' : '9in'],
            ],
        ];
        foreach ([...$all, ...$more] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }
}
