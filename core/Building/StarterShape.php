<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** The shapes that a new building may begin with: common ways in which blocks and roofs meet, sound, to be given real figures. */
enum StarterShape: string
{
    case Single = 'single';
    case L = 'l';
    case T = 't';
    case U = 'u';
    case H = 'h';
    case Z = 'z';
    case Terrace = 'terrace';
    case Pavilions = 'pavilions';
    case Aisles = 'aisles';
    case Dormers = 'dormers';
    case Clerestory = 'clerestory';

    public function title(): string
    {
        return match ($this) {
            self::Single => 'One block',
            self::L => 'L, with a wing',
            self::T => 'T, with a stem',
            self::U => 'U, round a yard',
            self::H => 'H, two ranges and a link',
            self::Z => 'Z, a wing either way',
            self::Terrace => 'Terrace of four',
            self::Pavilions => 'Pavilions and a lower range',
            self::Aisles => 'Lean-to all round',
            self::Dormers => 'Dormers in a row',
            self::Clerestory => 'Clerestory along the ridge',
        };
    }

    public function about(): string
    {
        return match ($this) {
            self::Single => 'A small office under one gabled roof.',
            self::L => 'A wing in front, flush with one end; both roofs meet in valleys.',
            self::T => 'A lower stem in front of the middle, whose roof dies into the slope behind it.',
            self::U => 'Two wings in front, flush with both ends.',
            self::H => 'Two gabled ranges side by side, and a lower link between them.',
            self::Z => 'A wing in front at one end, and one behind at the other.',
            self::Terrace => 'Four houses wall to wall; two stand a little higher up the hill.',
            self::Pavilions => 'Two hipped pavilions, and a lower range between them whose roof stops at their walls.',
            self::Aisles => 'A tall block that comes out of a low hipped roof on all sides.',
            self::Dormers => 'Three gabled dormers on the front slope.',
            self::Clerestory => 'A broad low roof, with a raised strip of windows and a roof of its own along the ridge.',
        };
    }

    /** @return non-empty-list<array<string, mixed>> blocks of a document, without walls */
    public function blocks(): array
    {
        $main = self::block('main', 'Main', ['30ft', '16ft'], '10ft', self::gable('x'));
        $wing = self::block('wing', 'Wing', ['14ft', '12ft'], '10ft', self::gable('y', ['back']));

        return match ($this) {
            self::Single => [self::block('main', 'Main', ['18ft', '12ft'], '9ft 6in', self::gable('x'))],
            self::L => [$main, [...$wing, 'place' => self::before('left')]],
            self::T => [
                $main,
                [
                    ...self::block('stem', 'Stem', ['12ft', '12ft'], '8ft 6in', self::gable('y', ['back'])),
                    'place' => [['against' => 'back', 'with' => 'main.front'], ['centre' => 'back', 'with' => 'main.front']],
                ],
            ],
            self::U => [
                [...$main, 'footprint' => ['rect' => ['42ft', '16ft']]],
                [...$wing, 'id' => 'wing-left', 'name' => 'Left wing', 'place' => self::before('left')],
                [...$wing, 'id' => 'wing-right', 'name' => 'Right wing', 'place' => self::before('right')],
            ],
            self::H => [
                self::block('west', 'West range', ['14ft', '36ft'], '12ft', self::gable('y')),
                self::block('east', 'East range', ['14ft', '36ft'], '12ft', self::gable('y'), ['38ft', '0ft']),
                self::block('link', 'Link', ['24ft', '13ft'], '9ft', self::gable('x', ['left', 'right']), ['14ft', '11ft 6in']),
            ],
            self::Z => [
                $main,
                [...$wing, 'id' => 'wing-front', 'name' => 'Front wing', 'place' => self::before('left')],
                [
                    ...$wing,
                    'id' => 'wing-back',
                    'name' => 'Back wing',
                    'roof' => self::gable('y', ['front']),
                    'place' => [
                        ['against' => 'front', 'with' => 'main.back'],
                        ['flush' => 'right', 'with' => 'main.right', 'by' => '0mm'],
                    ],
                ],
            ],
            self::Terrace => array_map(static fn (int $i): array => self::block(
                'house-'.($i + 1),
                'House '.($i + 1),
                ['15ft', '26ft'],
                $i < 2 ? '17ft' : '17ft 9in',
                ['overhang' => ['eaves' => '6in', 'verge' => '3in']] + self::gable('x', [], 35),
                [15 * $i.'ft', '0ft'],
            ), [0, 1, 2, 3]),
            self::Pavilions => [
                self::block('west', 'West pavilion', ['18ft', '18ft'], '15ft', self::hip(40)),
                // Each stands by the one before, so that none is left behind when another becomes longer.
                self::block('east', 'East pavilion', ['18ft', '18ft'], '15ft', self::hip(40))
                    + ['place' => [['against' => 'left', 'with' => 'range.right'], ['flush' => 'front', 'with' => 'west.front']]],
                self::block('range', 'Range', ['34ft', '13ft'], '9ft', self::gable('x', ['left', 'right'], 30))
                    + ['place' => [['against' => 'left', 'with' => 'west.right'], ['centre' => 'left', 'with' => 'west.right']]],
            ],
            self::Aisles => [
                self::block('aisle', 'Aisle', ['44ft', '30ft'], '8ft', self::hip(22)),
                self::block('main', 'Main', ['30ft', '16ft'], '20ft', self::gable('x'), ['7ft', '7ft']),
            ],
            self::Dormers => [
                self::block('main', 'Main', ['40ft', '20ft'], '12ft', self::gable('x', [], 45)),
                ...array_map(
                    static fn (int $i): array => self::block(
                        'dormer-'.($i + 1),
                        'Dormer '.($i + 1),
                        ['5ft', '8ft'],
                        '17ft',
                        ['overhang' => ['eaves' => '4in', 'verge' => '4in']] + self::gable('y', [], 45),
                        [5 + 12 * $i.'ft 6in', '1ft 6in'],
                    ),
                    [0, 1, 2],
                ),
            ],
            self::Clerestory => [
                self::block('main', 'Main', ['44ft', '26ft'], '11ft', self::gable('x', [], 28)),
                self::block('clerestory', 'Clerestory', ['34ft', '8ft'], '20ft', self::gable('x', [], 28), ['5ft', '9ft']),
            ],
        };
    }

    /**
     * @param  array{string, string}  $rect
     * @param  array<string, mixed>  $roof
     * @param  ?array{string, string}  $at
     * @return array<string, mixed>
     */
    private static function block(string $id, string $name, array $rect, string $eaves, array $roof, ?array $at = null): array
    {
        return ['id' => $id, 'name' => $name, 'footprint' => ['rect' => $rect], 'eaves' => $eaves]
            + ($at === null ? [] : ['at' => $at])
            + ['roof' => $roof];
    }

    /**
     * @param  list<string>  $walls  edges over which it runs into another roof
     * @return array<string, mixed>
     */
    private static function gable(string $ridge, array $walls = [], int $pitch = 40): array
    {
        $edges = array_map(static fn (string $edge): array => ['edge' => $edge, 'kind' => 'wall'], $walls);

        return [
            'kind' => 'gable', 'ridge' => $ridge, 'pitch' => $pitch,
            'overhang' => ['eaves' => '9in', 'verge' => '6in'], 'finish' => 'slate',
        ] + ($edges === [] ? [] : ['edges' => $edges]);
    }

    /** @return array<string, mixed> */
    private static function hip(int $pitch): array
    {
        return ['kind' => 'hip', 'pitch' => $pitch, 'overhang' => ['eaves' => '9in'], 'finish' => 'slate'];
    }

    /**
     * A wing in front of the main block, flush with one of its ends.
     *
     * @return list<array<string, string>>
     */
    private static function before(string $end): array
    {
        return [['against' => 'back', 'with' => 'main.front'], ['flush' => $end, 'with' => "main.$end", 'by' => '0mm']];
    }
}
