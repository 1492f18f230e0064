<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Methods;
use Chartula\Core\Building\MethodsReader;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Building\ShippedKinds;
use Chartula\Core\Building\Style;
use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** What screens do to the kinds of openings: one more, one like another, one less. Their fields are set by path. */
final readonly class KindEdit
{
    public const OPS = ['add-kind', 'copy-kind', 'remove-kind', 'fit-kind', 'fill-kind'];

    /** As deep as something bought usually is. */
    private const DEPTH = '1.2mm';

    /** What can stand in an opening, and as what each begins; a door's leaf as leaves are. */
    private const FILLINGS = [
        'frame' => ['panes' => [2, 2], 'stile' => '3in', 'bar' => '3in'],
        'leaf' => ['kind' => 'louvred', 'rail' => '3in', 'board' => '4in'],
        'blind' => [],
        'bought' => [],
    ];

    private function __construct(private stdClass $document, private Node $edit)
    {
    }

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        $self = new self($document, $edit);
        match ($op) {
            'add-kind' => $self->add(),
            'copy-kind' => $self->copy(),
            'fit-kind' => $self->fit(),
            'fill-kind' => $self->fill(),
            default => $self->remove(),
        };
    }

    /** A kind as it is begun. */
    public static function fresh(OpeningKind $kind): stdClass
    {
        $begins = match ($kind) {
            OpeningKind::Window => [
                'w' => '3ft', 'h' => '5ft', 'frame' => ['panes' => [2, 2], 'stile' => '3in', 'bar' => '3in', 'sash' => true],
            ],
            OpeningKind::Door => ['w' => '3ft 3in', 'h' => '7ft'],
            OpeningKind::Open => ['w' => '6ft', 'h' => '8ft'],
        };
        $figures = ['kind' => $kind->value] + $begins + ['head' => ['shape' => 'flat']];

        return (object) json_decode((string) json_encode($figures));
    }

    /** Of a sort, one that is shipped, or one that another building has. */
    private function add(): void
    {
        $this->edit->isObject(['op'], ['kind', 'name', 'like', 'as']);
        if ($this->edit->get('like') !== null || $this->edit->get('as') !== null) {
            $this->addLike();

            return;
        }
        $said = $this->edit->get('kind') === null ? '' : $this->edit->get('kind')->choice(OpeningKind::known());
        if ($said !== null) {
            $kind = OpeningKind::said($said);
            $style = self::fresh($kind);
            $name = $this->edit->get('name')?->text(Style::LONGEST_NAME);
            if ($name !== null && $name !== '') {
                $style->name = $name;
            }
            $this->put($style, $kind->words());
        }
    }

    private function addLike(): void
    {
        [$like, $as] = [$this->edit->get('like'), $this->edit->get('as')];
        $key = $like?->text(32) ?? '';
        $style = $like === null ? $as?->value : ShippedKinds::find($key);
        if (! $style instanceof stdClass) {
            ($like ?? $as)?->fault('edit.no-such', ['given' => $key]);

            return;
        }
        $copy = json_decode((string) json_encode($style));
        assert($copy instanceof stdClass);
        $word = $like === null ? OpeningKind::said($copy->kind ?? null)->words() : $key;
        $this->put($copy, $word);
    }

    /** One like another; where an opening or a row is named, it becomes of the new kind. */
    private function copy(): void
    {
        $this->edit->isObject(['op', 'style'], ['wall', 'id']);
        $id = $this->edit->get('style')?->text(32) ?? '';
        $style = $this->named();
        $on = $this->edit->get('wall') === null ? null : WallEntry::of($this->document, $this->edit->get('wall'));
        if ($style === null) {
            return;
        }
        $copy = (object) json_decode((string) json_encode($style));
        unset($copy->name);
        $new = $this->put($copy, (string) preg_replace('/-\d+$/', '', $id));
        $name = $this->edit->get('id')?->text(32);
        foreach ($on === null ? [] : [...$on->openings(), ...$on->rows()] as $opening) {
            if (($opening->id ?? null) === $name) {
                $opening->style = $new;
            }
        }
    }

    /** Something else stands in it, as that is begun; what stood there goes. */
    private function fill(): void
    {
        $this->edit->isObject(['op', 'style', 'with']);
        $with = $this->edit->get('with')?->choice(array_keys(self::FILLINGS));
        $style = $this->named();
        if ($style === null || $with === null || isset($style->{$with})) {
            return;
        }
        $begun = $with === 'bought' ? $this->fitting($style, self::isDoor($style)) : self::begun($with, $style);
        unset($style->frame, $style->leaf, $style->blind, $style->bought);
        $style->{$with} = $begun;
    }

    private static function begun(string $with, stdClass $style): stdClass
    {
        $figures = $with === 'leaf' && self::isDoor($style) ? [] : self::FILLINGS[$with];

        return (object) json_decode((string) json_encode($figures));
    }

    /** Where nobody says whether it stands on the ground, doors do. */
    private static function isDoor(stdClass $style): bool
    {
        return ($style->kind ?? null) === OpeningKind::Door->value;
    }

    /** Its opening as large as what is bought for it asks. */
    private function fit(): void
    {
        $this->edit->isObject(['op', 'style'], ['ground']);
        $style = $this->named();
        $bought = $style->bought ?? null;
        if ($style === null || ! $bought instanceof stdClass) {
            return;
        }
        $ruler = Ruler::of($this->document);
        $isOnGround = $this->edit->get('ground') === null ? self::isDoor($style) : $this->edit->get('ground')->bool() === true;
        foreach ($this->more($style, $isOnGround) as $key => $more) {
            $style->{$key} = self::mm($ruler->readModel($bought->{$key} ?? null) + $more).' model';
        }
    }

    /** Something that would fit its opening. */
    private function fitting(stdClass $style, bool $isOnGround): stdClass
    {
        $ruler = Ruler::of($this->document);
        $found = new stdClass;
        foreach ($this->more($style, $isOnGround) as $key => $more) {
            $found->{$key} = self::mm($ruler->read($style->{$key} ?? null) / $ruler->scale->ratio - $more);
        }
        $found->depth = self::DEPTH;

        return $found;
    }

    /** @return array{w: float, h: float} by how much an opening is larger than what goes into it, on the model */
    private function more(stdClass $style, bool $isOnGround): array
    {
        $more = Filling::PLAY_MM - $this->rebate(Ruler::of($this->document), $style);

        return ['w' => 2.0 * $more, 'h' => ($isOnGround ? 1.0 : 2.0) * $more];
    }

    private static function mm(float $mm): string
    {
        return LengthFormat::trimmed($mm, 4).'mm';
    }

    /** By how much what stands in openings of a kind reaches behind what it leans against, on the model. */
    private function rebate(Ruler $ruler, stdClass $style): float
    {
        $methods = ($this->document->methods ?? null) instanceof stdClass ? $this->document->methods : new stdClass;
        $trim = ($methods->trim ?? null) instanceof stdClass ? $methods->trim : new stdClass;

        $usual = MethodsReader::HELD[is_string($trim->held ?? null) ? $trim->held : ''] ?? Holding::Glue;
        $said = is_string($style->held ?? null) ? Holding::tryFrom($style->held) : null;

        return match (true) {
            ! ($said ?? (isset($style->rebate) ? Holding::Rebate : $usual))->laps() => 0.0,
            isset($style->rebate) => $ruler->read($style->rebate) / $ruler->scale->ratio,
            default => Methods::REBATE_MM,
        };
    }

    /** Goes unless something is of it. */
    private function remove(): void
    {
        $this->edit->isObject(['op', 'style']);
        $style = $this->named();
        if ($style === null) {
            return;
        }
        $id = $this->edit->get('style')?->text(32) ?? '';
        $used = $this->uses($id);
        if ($used > 0) {
            $this->edit->get('style')?->fault('edit.kind-in-use', ['given' => Style::wordsOf($id, $style), 'count' => $used]);
        } elseif ($this->document->styles instanceof stdClass) {
            unset($this->document->styles->{$id});
        }
    }

    /** How many openings and rows are of a kind. */
    private function uses(string $id): int
    {
        $used = 0;
        foreach (Ruler::listed($this->document->blocks ?? null) as $block) {
            foreach (Ruler::listed($block->walls ?? null) as $wall) {
                $all = [...Ruler::listed($wall->openings ?? null), ...Ruler::listed($wall->rows ?? null)];
                $used += count(array_filter($all, static fn (stdClass $o): bool => ($o->style ?? null) === $id));
            }
        }

        return $used;
    }

    /** The kind that is named; null, and a fault, where there is none. */
    private function named(): ?stdClass
    {
        $id = $this->edit->get('style')?->text(32) ?? '';
        $style = $this->style($id);
        if ($style === null) {
            $this->edit->get('style')?->fault('edit.no-such', ['given' => $id]);
        }

        return $style;
    }

    private function style(string $id): ?stdClass
    {
        $styles = $this->document->styles ?? null;
        $style = $styles instanceof stdClass ? $styles->{$id} ?? null : null;

        return $style instanceof stdClass ? $style : null;
    }

    /** Under a name that no other has. */
    private function put(stdClass $style, string $word): string
    {
        if (! ($this->document->styles ?? null) instanceof stdClass) {
            $this->document->styles = new stdClass;
        }
        $word = substr($word, 0, 28);
        $id = $word;
        for ($n = 2; property_exists($this->document->styles, $id); $n++) {
            $id = "$word-$n";
        }
        $this->document->styles->{$id} = $style;

        return $id;
    }
}
