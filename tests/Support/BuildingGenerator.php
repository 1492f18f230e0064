<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** Sound buildings from seeds, and single corruptions of them that each name the path they must be reported at. */
final class BuildingGenerator
{
    private readonly Randomizer $random;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function document(): stdClass
    {
        $width = $this->between(3600, 11000);
        $depth = $this->between(3000, 8000);
        $eaves = $this->between(2900, 6500);
        $layers = $this->random->getInt(1, 4);
        $document = [
            'format' => 'chartula.building', 'version' => 1, 'name' => "Net loft $this->seed",
            'scale' => $this->pick(['1:76.2', '1:87.1', '1:64']),
            'gauge' => (object) $this->pick([
                ['brick' => '9in', 'course' => '3in', 'joint' => '3/8in'],
                ['brick' => '225mm', 'course' => '75mm', 'joint' => '10mm'],
            ]),
            'methods' => (object) [
                'wall' => $this->stack($layers),
                'roof' => $this->stack($this->random->getInt(1, 2)),
                'through' => $this->pick(['front-and-back', 'sides']),
                'base' => $this->pick(['floor', 'floor', 'none']),
                'braces' => $this->pick(['auto', 'auto', 'none']),
                'template' => (object) ['side' => $this->pick(['front', 'back']), 'stays' => $this->pick([true, false])],
            ],
            'styles' => (object) [
                'pane' => (object) [
                    'kind' => 'window', 'w' => $this->mm(700, 1100), 'h' => $this->mm(1100, 1500),
                    'head' => (object) ['shape' => 'segmental', 'rise' => $this->mm(60, 300)],
                    'frame' => (object) ['panes' => [$this->random->getInt(1, 3), $this->random->getInt(1, 3)], 'stile' => '60mm', 'bar' => '30mm', 'sash' => $this->pick([true, false])],
                ],
                'square' => (object) ['kind' => 'window', 'w' => $this->mm(600, 1000), 'h' => $this->mm(700, 1200)],
                'door' => (object) [
                    'kind' => 'door', 'w' => $this->mm(800, 1200), 'h' => $this->mm(1900, 2200),
                    'head' => (object) $this->pick([['shape' => 'flat'], ['shape' => 'segmental', 'rise' => '120mm']]),
                ],
            ],
            'blocks' => [(object) [
                'id' => 'main', 'footprint' => (object) ['rect' => ["{$width}mm", "{$depth}mm"]],
                'at' => [$this->pick(['0mm', '-1234mm', '5ft']), $this->pick(['0mm', '333mm'])],
                'turn' => $this->pick([0, 0, 90, 37.5]), 'base' => $this->pick(['0mm', '0mm', '150mm']),
                'eaves' => ($eaves + 150).'mm',
                'walls' => array_map(fn (int $edge): stdClass => $this->wall($edge, $edge % 2 === 0 ? $width : $depth), [0, 1, 2, 3]),
                'roof' => (object) [
                    'kind' => 'gable', 'ridge' => $this->pick(['x', 'y']), 'pitch' => $this->between(18, 62),
                    'overhang' => (object) ['eaves' => $this->mm(0, 400), 'verge' => $this->mm(0, 300)],
                ],
            ]],
        ];

        return $this->asObject($document);
    }

    /**
     * One-field corruptions of this seed's building.
     *
     * @return list<array{stdClass, string}> the document and the path that must be reported
     */
    public function corruptions(): array
    {
        $changes = [
            'scale' => 'seventy', 'format' => 'other', 'version' => 2, 'name' => 7,
            'methods.wall.0.stock' => 'oak', 'methods.wall.0.role' => 'skin', 'methods.through' => 'all', 'methods.template.side' => 'left',
            'styles.pane.w' => '0mm', 'styles.pane.head.rise' => '9m', 'styles.door.kind' => 'gate', 'styles.square.h' => '-3ft',
            'blocks.0.eaves' => 3200, 'blocks.0.footprint.rect.1' => '12', 'blocks.0.footprint.rect.0' => '2000 m', 'blocks.0.turn' => '90',
            'blocks.0.roof.pitch' => 90, 'blocks.0.roof.kind' => 'dome', 'blocks.0.roof.overhang.eaves' => '1/0in',
            'blocks.0.walls.1.finish' => 'gold', 'blocks.0.walls.0.edge' => 'north', 'blocks.0.unknown' => 1, 'gauge.brick' => '9',
        ];
        $corruptions = [];
        foreach ($changes as $path => $value) {
            $corruptions[] = [self::with((new self($this->seed))->document(), $path, $value), $path];
        }

        return $corruptions;
    }

    /** A copy of the document with another value at the dotted path. */
    public static function with(stdClass $document, string $path, mixed $value): stdClass
    {
        $copy = json_decode((string) json_encode($document));
        self::set($copy, explode('.', $path), $value);
        assert($copy instanceof stdClass);

        return $copy;
    }

    /** @param  list<string>  $keys */
    private static function set(mixed &$target, array $keys, mixed $value): void
    {
        $key = array_shift($keys);
        if ($key === null) {
            $target = $value;
        } elseif (is_array($target)) {
            self::set($target[(int) $key], $keys, $value);
        } elseif ($target instanceof stdClass) {
            $target->{$key} ??= null;
            self::set($target->{$key}, $keys, $value);
        }
    }

    private function wall(int $edge, int $length): stdClass
    {
        $openings = [];
        $at = 500;
        while ($at < $length - 1900 && count($openings) < 4) {
            $style = $this->pick(['pane', 'square', 'door', 'none']);
            if ($style !== 'none') {
                $openings[] = (object) [
                    'id' => 'o'.count($openings), 'style' => $style, 'from' => "{$at}mm",
                    'sill' => $style === 'door' ? '0mm' : $this->mm(500, 900),
                ];
            }
            $at += 1200 + $this->between(200, 900);
        }

        return (object) [
            'edge' => $edge,
            'finish' => $this->pick(['brick-stretcher', 'brick-english', 'brick-flemish', 'bare']),
            'openings' => $openings,
        ];
    }

    /** @return list<stdClass> */
    private function stack(int $layers): array
    {
        $stack = [];
        for ($i = 0; $i < $layers; $i++) {
            $stack[] = (object) [
                'id' => "l$i",
                'stock' => $this->pick(['card-0.5', 'greyboard-1', 'card-0.25', 'greyboard-1.5']),
                'role' => $i === 0 ? 'face' : 'core',
            ];
        }

        return $stack;
    }

    private function between(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    private function mm(int $least, int $most): string
    {
        return $this->between($least, $most).'.'.$this->random->getInt(0, 9).'mm';
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $from
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, count($from) - 1)];
    }

    private function asObject(mixed $value): stdClass
    {
        $decoded = json_decode((string) json_encode($value));
        assert($decoded instanceof stdClass);

        return $decoded;
    }
}
