<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Workings;
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
     * @param  Region  $region  what stands: of a set the body that its pieces make
     * @param  Region  $blank  what is cut
     * @param  ?Ring  $inside  the inside face's outline, point for point, where edges are bevelled
     * @param  list<string>  $edges  what each is called
     * @param  array<int, string>  $free  why nothing meets an edge, by its number
     * @param  array<int, float>  $levels  of feet, by their edges
     * @param  list<Frame>  $placements
     * @param  list<array{from: Vec2, to: Vec2, radians: float, pivot: float}>  $folds  pivot: depth of the fold's axis behind the outside
     *     face
     * @param  list<array{Vec2, Vec2}>  $slits  cuts that do not close
     * @param  list<array{Ring, Vec2}>  $register  of a set: what is cut for each piece, and where on the body its lower left lies
     * @param  list<Vec3>  $underside
     * @param  list<array{of: string, mm: float, sum: float}>  $workings  what a figure is said to be, and what its sum comes to
     * @param  array<string, Ring>  $printed  what is printed over its covering, by what that is of
     * @param  ?string  $thing  of which thing with a place of its own it is, if of one: by its block and its id
     * @param  string  $fingerprint  all that the dry fit reads of it in one word
     */
    private function __construct(
        public string $id,
        public string $group,
        public float $thickness,
        public int $qty,
        public Region $region,
        public Region $blank,
        public ?Ring $inside,
        public array $edges,
        public array $free,
        public array $levels,
        public array $placements,
        public array $folds,
        public array $slits,
        public array $register,
        public ?Vec2 $base,
        public array $underside,
        public array $workings,
        public string $label,
        public ?string $name,
        public array $printed,
        public ?string $thing,
        public string $fingerprint,
        public string $stock,
    ) {
    }

    public static function recalled(KitShape $part, Recall $recall): self
    {
        return $recall->of(Recall::question('part', $part->values), static fn (): self => self::read($part));
    }

    /** From what it was written down as, which is read only where it is another than before. */
    public static function written(string $text, Recall $recall): self
    {
        return $recall->of('part '.hash('xxh128', $text, true), static function () use ($text): self {
            $values = json_decode($text, true, 512, JSON_THROW_ON_ERROR);

            return self::read(new KitShape(is_array($values) ? $values : []));
        });
    }

    private static function read(KitShape $part): self
    {
        $form = $part->has('form') ? $part->child('form') : null;
        $kind = $form?->text('kind');
        $body = $kind === 'set' ? $form?->child('body') : null;
        $thickness = ($body ?? $part)->number('thickness');
        $blank = new Region($part->ring('outline'), $part->rings('holes'));
        $edges = ($body ?? $part)->children('edges');
        $free = array_map(static fn (KitShape $e): ?string => $e->textOrNull('free'), $edges);
        $thing = self::thing($part);
        $levels = array_map(static fn (KitShape $e): ?float => $e->has('level') ? $e->number('level') : null, $edges);

        return new self(
            $part->text('id'), $part->text('group'), $thickness, $part->whole('qty'),
            $body === null ? $blank : new Region($body->ring('outline'), $body->rings('holes')), $blank,
            self::inside($part),
            array_map(static fn (KitShape $e): string => $e->text('name'), $edges),
            array_filter($free, static fn (?string $why): bool => $why !== null),
            array_filter($levels, static fn (?float $level): bool => $level !== null),
            array_map(static fn (KitShape $p): Frame => $p->frame(), $part->children('placements')),
            self::folds($part, $form, $blank, $thickness),
            array_map(
                static fn (KitShape $s): array => [$s->vec2('0'), $s->vec2('1')],
                $part->has('slits') ? $part->children('slits') : [],
            ),
            $kind !== 'set' ? [] : array_map(
                static fn (KitShape $p): array => [$p->ring('outline'), $p->vec2('at')],
                $form->children('register'),
            ),
            $kind === null || $kind === 'set' ? null : $form->vec2('base'),
            $part->has('roof') ? $part->child('roof')->points3('underside') : [],
            array_map(self::figure(...), $part->children('workings')),
            $part->textOrNull('label') ?? '', $part->textOrNull('name'), self::printed($part), $thing,
            // Its label and name are none of it: where they change two that met still meet.
            Recall::question('shape', array_intersect_key($part->values, array_flip(self::READ)), ...$thing === null ? [] : [$thing]),
            $part->textOrNull('stock') ?? '',
        );
    }

    private static function thing(KitShape $part): ?string
    {
        $of = $part->has('of') ? $part->child('of') : null;
        $feature = $of?->has('feature') === true ? $of->text('feature') : null;

        return $feature === null ? null : ($of->textOrNull('block') ?? '').".$feature";
    }

    /** @return array<string, Ring> */
    private static function printed(KitShape $part): array
    {
        $art = $part->has('art') ? $part->child('art') : null;
        $printed = [];
        foreach ($art?->has('dressings') === true ? $art->children('dressings') : [] as $shape) {
            $printed[$shape->textOrNull('of') ?? ''] = $shape->ring('ring');
        }

        return $printed;
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

    /** Papers of walls are looked at as if they lay flat: what they turn in is looked for nowhere. */
    public function standsFolded(): bool
    {
        return $this->folds !== [] && (! $this->isPaper() || $this->thing !== null);
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

    /** @return list<array{from: Vec2, to: Vec2, radians: float, pivot: float}> */
    private static function folds(KitShape $part, ?KitShape $form, Region $blank, float $thickness): array
    {
        return match ($form?->text('kind')) {
            null, 'set' => [],
            'folded' => array_map(static fn (KitShape $s): array => self::fold($s, $thickness), $part->children('scores')),
            'rolled', 'cone' => self::rolled($form, $blank, $thickness),
            default => throw new UnexpectedValueException($part->text('id').' is neither folded nor rolled nor a set'),
        };
    }

    /**
     * Rolled card stands as if folded flat between lines as near to each other as a chord may leave an arc.
     *
     * @return list<array{from: Vec2, to: Vec2, radians: float, pivot: float}>
     */
    private static function rolled(KitShape $form, Region $blank, float $thickness): array
    {
        $roll = KitRoll::read($form, $thickness);

        return array_map(static fn (array $fold): array => $fold + ['pivot' => $thickness / 2.0], $roll->folds($blank));
    }

    /** @return array{of: string, mm: float, sum: float} */
    private static function figure(KitShape $figure): array
    {
        return ['of' => $figure->text('of'), 'mm' => $figure->number('mm'), 'sum' => Workings::evaluate(array_map(
            static fn (KitShape $s): array =>
                ['op' => $s->text('op'), 'mm' => $s->number('mm'), 'by' => $s->has('by') ? $s->number('by') : 0.0],
            $figure->children('steps'),
        ))];
    }
}
