<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\RealLength;

/** Reads one of `walls`: its openings one by one, rows of them in bays, and what openings keep out of. */
final readonly class WallReader
{
    public const MOST_OPENINGS = 200;

    /**
     * @param  array<string, Style>  $styles
     * @param  list<string>  $stacks  the names of the stacks
     * @param  ?Footprint  $footprint  null where it is not sound
     * @param  list<Storey>  $storeys
     * @param  float  $base  of the block above the datum, real millimetres
     * @param  string  $stack  of walls that do not say of what they are
     * @param  FieldSet  $fields  of openings
     */
    public function __construct(
        private Values $values,
        private array $styles,
        private array $stacks,
        private ?Footprint $footprint,
        private array $storeys,
        private float $base,
        public string $stack,
        private Kinds $kinds,
        private FieldSet $fields,
    ) {
    }

    public function read(Node $node, int $edge, string $name): Wall
    {
        $finish = Finish::tryFrom($node->get('finish')?->choice(Finish::known()) ?? '');
        [$paper, $palette] = [$this->values->named('papers', $node->get('paper')), $this->values->named('palettes', $node->get('palette'))];
        $treat = Treatment::tryFrom($node->get('treat')?->choice(Treatment::known()) ?? '');
        $stack = self::known($node->get('stack'), $this->stacks);
        $openings = [];
        $ids = [];
        foreach ($node->get('openings')?->items(self::MOST_OPENINGS) ?? [] as $i => $item) {
            $opening = $this->opening($item, $i);
            if ($opening === null) {
                continue;
            }
            if (isset($ids[$opening->id])) {
                ($item->get('id') ?? $item)->fault('id-twice', ['given' => $opening->id]);
            }
            $ids[$opening->id] = true;
            $openings[] = $opening;
            $this->keptOut($item, $opening, $node);
        }

        foreach ($node->get('rows')?->items(20) ?? [] as $i => $item) {
            foreach ($this->row($item, $i, $edge, $node) as $opening) {
                if (isset($ids[$opening->id])) {
                    ($item->get('id') ?? $item)->fault('id-twice', ['given' => $opening->id]);
                }
                $ids[$opening->id] = true;
                $openings[] = $opening;
            }
        }

        return new Wall(
            $edge,
            $name,
            $finish ?? Finish::Bare,
            $treat ?? Treatment::Full,
            $stack ?? $this->stack,
            $openings,
            $this->ground($node->get('ground')),
            $node->path,
            (new AsBuiltReader($this->values))->read($node->get('built'), AsBuilt::OF_WALLS),
            paper: $paper,
            palette: $palette,
        );
    }

    /**
     * The stack that a block or a wall names; null where it names none that there is.
     *
     * @param  list<string>  $stacks
     */
    public static function known(?Node $node, array $stacks): ?string
    {
        $stack = $node?->text(100);
        if ($node === null || $stack === null || in_array($stack, $stacks, true)) {
            return $stack;
        }
        $node->fault('unknown-stack', ['given' => $stack, 'known' => implode(', ', $stacks)]);

        return null;
    }

    /** @return ?array{RealLength, RealLength} */
    private function ground(?Node $node): ?array
    {
        $levels = array_map(fn (Node $n): ?RealLength => $this->values->real($n, Sign::Any), $node?->items(2, 2) ?? []);
        [$left, $right] = [$levels[0] ?? null, $levels[1] ?? null];

        return $left === null || $right === null ? null : [$left, $right];
    }

    private function opening(Node $node, int $index): ?Opening
    {
        $said = $this->fields->read($node, $this->values);
        if ($said === null) {
            return null;
        }
        $id = $said->at('id') === null ? 'o'.($index + 1) : $said->text('id');
        $style = $this->style($node, $said->text('style'));
        $from = $said->real('from');
        $sill = $this->sill($node, $said->real('sill'));
        $repeat = $said->group('repeat');
        $dress = $said->at('dress') === null ? null : $this->kinds->made($said->list('dress'));

        return $id === null || $style === null || $from === null || $sill === null ? null : new Opening(
            $id, $style, $from, $sill, $repeat?->count('count') ?? 1, $repeat?->real('pitch'), $node->path, dress: $dress,
        );
    }

    private function style(Node $node, ?string $id): ?Style
    {
        if ($id !== null && ! isset($this->styles[$id])) {
            $node->get('style')?->fault('unknown-style', ['given' => $id, 'known' => implode(', ', array_keys($this->styles))]);
        }

        return $this->styles[$id ?? ''] ?? null;
    }

    /** Reads a sill above the block's base, or above the floor of the storey that is named. */
    private function sill(Node $node, ?RealLength $sill): ?RealLength
    {
        $named = $node->get('storey')?->text(32);
        if ($named === null || $sill === null) {
            return $sill;
        }
        foreach ($this->storeys as $storey) {
            if ($storey->id === $named) {
                $above = $storey->floor->mm - $this->base + $sill->mm;
                if ($above < 0.0) {
                    $node->get('storey')->fault('opening.below-wall', ['given' => round(-$above, 1)]);

                    return null;
                }

                return RealLength::entered($above, $sill->text ?? '', $node->path.'.sill');
            }
        }
        $node->get('storey')->fault(
            'unknown-storey',
            ['given' => $named, 'known' => implode(', ', array_map(static fn (Storey $s): string => $s->id, $this->storeys))],
        );

        return $sill;
    }

    /**
     * Equal openings in equal bays, or between margins; those that would come into what is kept free are left out.
     * docs/formulas.md#rows
     *
     * @return list<Opening>
     */
    private function row(Node $node, int $index, int $edge, Node $wall): array
    {
        if (! $node->isObject(['style', 'sill', 'count'], ['id', 'storey', 'margin', 'from', 'pitch'])) {
            return [];
        }
        $id = $node->get('id') === null ? 'r'.($index + 1) : $this->values->id($node->get('id'));
        $style = $this->style($node, $node->get('style')?->text(100));
        $sill = $this->sill($node, $this->values->real($node->get('sill'), Sign::ZeroOrMore));
        $count = $node->get('count')?->whole(1, OpeningFields::MOST_REPEATS);
        $said = $this->stands($node);
        if ($id === null || $style === null || $sill === null || $count === null || $this->footprint === null) {
            return [];
        }
        $length = $this->footprint->length($edge)->mm;
        $width = $style->w->mm;
        $bays = Bays::of($length, $width, $count, $said);
        if (! $bays->fit($length)) {
            // It is drawn all the same, one opening into the other.
            $node->get('count')?->fault('row.no-room', ['given' => $count, 'length' => round($length, 1), 'width' => round($width, 1)]);
        }
        $keep = $this->kept($wall);
        $openings = [];
        foreach ($bays->places() as $i => $place) {
            if (array_filter($keep, static fn (Interval $kept): bool => $kept->overlaps($place)) === []) {
                $from = RealLength::ofMillimetres($place->from);
                $openings[] = new Opening($id.'-'.($i + 1), $style, $from, $sill, 1, null, $node->path, $id);
            }
        }

        return $openings;
    }

    /** @return array{margin: ?float, from: ?float, pitch: ?float} what is said of where a row stands, real millimetres */
    private function stands(Node $node): array
    {
        $said = [
            'margin' => $this->values->real($node->get('margin'), Sign::ZeroOrMore)?->mm,
            'from' => $this->values->real($node->get('from'), Sign::ZeroOrMore)?->mm,
            'pitch' => $this->values->real($node->get('pitch'))?->mm,
        ];
        if ($said['margin'] !== null && $said['from'] !== null) {
            $node->get('margin')?->fault('row.margin-and-from');
        }

        return $said;
    }

    /** @return list<Interval> real millimetres */
    private function kept(Node $wall): array
    {
        $kept = [];
        foreach ($wall->get('keep')?->items(50) ?? [] as $item) {
            $item->isObject(['from', 'width'], ['why']);
            $from = $this->values->real($item->get('from'), Sign::ZeroOrMore);
            $width = $this->values->real($item->get('width'));
            if ($from !== null && $width !== null) {
                $kept[] = Interval::of($from->mm, $width->mm);
            }
        }

        return $kept;
    }

    private function keptOut(Node $node, Opening $opening, Node $wall): void
    {
        foreach ($this->kept($wall) as $k => $place) {
            for ($i = 0; $i < $opening->count; $i++) {
                if ($place->overlaps($opening->extent($i))) {
                    $why = ($wall->get('keep')?->items(50) ?? [])[$k]->get('why')?->value;
                    $node->get('from')?->fault(
                        'opening.kept-out',
                        ['from' => round($place->from, 1), 'to' => round($place->to, 1), 'why' => is_string($why) ? $why : 'said so'],
                    );

                    return;
                }
            }
        }
    }
}
