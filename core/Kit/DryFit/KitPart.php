<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Recall\Recall;
use UnexpectedValueException;

/** A part as the serialised kit describes it. */
final readonly class KitPart
{
    /** The dry fit reads these keys of a part. */
    private const READ = [
        'id', 'group', 'thickness', 'qty', 'outline', 'inside_outline', 'holes', 'edges', 'placements', 'scores',
        'slits', 'form', 'roof', 'workings',
    ];

    /**
     * @param  ?Ring  $inside  the inside face's outline, point for point, where edges are bevelled
     * @param  list<array{name: string, free: ?string, level: ?float}>  $edges  level: of a foot
     * @param  list<Frame>  $placements
     * @param  list<array{from: Vec2, to: Vec2, radians: float, pivot: float}>  $folds  pivot: depth of the fold's axis behind the outside
     *     face
     * @param  list<array{Vec2, Vec2}>  $slits  cuts that do not close
     * @param  list<Vec3>  $underside
     * @param  string  $fingerprint  all of it in one word
     * @param  list<array{of: string, mm: float, steps: list<array{op: string, mm: float, by: float}>}>  $workings
     */
    private function __construct(
        public string $id,
        public string $group,
        public float $thickness,
        public int $qty,
        public Region $region,
        public ?Ring $inside,
        public array $edges,
        public array $placements,
        public array $folds,
        public array $slits,
        public ?Vec2 $base,
        public array $underside,
        public array $workings,
        public string $fingerprint,
    ) {
    }

    public static function recalled(KitShape $part, Recall $recall): self
    {
        $fingerprint = Recall::question('part', array_intersect_key($part->values, array_flip(self::READ)));

        return $recall->of($fingerprint, static fn (): self => self::read($part, $fingerprint));
    }

    private static function read(KitShape $part, string $fingerprint): self
    {
        $thickness = $part->number('thickness');
        $isFolded = $part->has('form');

        return new self(
            $part->text('id'), $part->text('group'), $thickness, $part->whole('qty'),
            new Region($part->ring('outline'), $part->rings('holes')),
            self::inside($part),
            array_map(
                static fn (KitShape $e): array => [
                    'name' => $e->text('name'),
                    'free' => $e->textOrNull('free'),
                    'level' => $e->has('level') ? $e->number('level') : null,
                ],
                $part->children('edges'),
            ),
            array_map(static fn (KitShape $p): Frame => $p->frame(), $part->children('placements')),
            $isFolded ? array_map(static fn (KitShape $s): array => self::fold($s, $thickness), $part->children('scores')) : [],
            array_map(
                static fn (KitShape $s): array => [$s->vec2('0'), $s->vec2('1')],
                $part->has('slits') ? $part->children('slits') : [],
            ),
            $isFolded ? $part->child('form')->vec2('base') : null,
            $part->has('roof') ? $part->child('roof')->points3('underside') : [],
            array_map(self::figure(...), $part->children('workings')),
            $fingerprint,
        );
    }

    private static function inside(KitShape $part): ?Ring
    {
        $inside = $part->has('inside_outline') ? $part->ring('inside_outline') : null;
        if ($inside !== null && $inside->count() !== $part->ring('outline')->count()) {
            throw new UnexpectedValueException($part->text('id').' has faces with unlike numbers of corners');
        }

        return $inside;
    }

    /** Papers bend and lie over one another; they are no solids and their edges meet nothing. */
    public function isPaper(): bool
    {
        return $this->group === 'skin';
    }

    public function edgesMustMeet(): bool
    {
        return in_array($this->group, ['shell', 'brace', 'roof'], true);
    }

    /**
     * A half cut opens about the face that is not cut; a pressed crease turns about the middle.
     *
     * @return array{from: Vec2, to: Vec2, radians: float, pivot: float}
     */
    private static function fold(KitShape $score, float $thickness): array
    {
        $line = $score->children('line');
        $away = $score->text('fold') === 'away';
        $opens = ($score->text('score_on') === 'face') === $away;

        return [
            'from' => $line[0]->asVec2(), 'to' => $line[1]->asVec2(),
            'radians' => deg2rad($score->number('degrees')) * ($away ? 1.0 : -1.0),
            'pivot' => $opens ? ($away ? $thickness : 0.0) : $thickness / 2.0,
        ];
    }

    /** @return array{of: string, mm: float, steps: list<array{op: string, mm: float, by: float}>} */
    private static function figure(KitShape $figure): array
    {
        return [
            'of' => $figure->text('of'), 'mm' => $figure->number('mm'),
            'steps' => array_map(
                static fn (KitShape $s): array =>
                    ['op' => $s->text('op'), 'mm' => $s->number('mm'), 'by' => $s->has('by') ? $s->number('by') : 0.0],
                $figure->children('steps'),
            ),
        ];
    }
}
