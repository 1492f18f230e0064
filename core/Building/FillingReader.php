<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;
use stdClass;

/** Reads what stands in openings of a kind: one thing, a frame in a window and a leaf in a door where nothing is said. */
final readonly class FillingReader
{
    private function __construct(private Fields $said, private OpeningKind $kind, private Values $values)
    {
    }

    /** With a fault for each thing beside another. */
    public static function of(Fields $said, OpeningKind $kind, Values $values): self
    {
        $self = new self($said, $kind, $values);
        $things = array_values(array_filter(['bought', 'blind', 'frame', 'leaf'], $self->isSaid(...)));
        // An archway may keep what stood in it, but for a leaf.
        $more = $kind === OpeningKind::Open ? array_intersect($things, ['leaf', 'blind', 'bought']) : array_slice($things, 1);
        foreach ($more as $key) {
            $said->at($key)?->fault("$key.none", ['given' => $kind->words()]);
        }

        return $self;
    }

    public function frame(): ?Panes
    {
        $isIt = $this->isSaid('frame') || ($this->kind === OpeningKind::Window && ! $this->isSaid('leaf'));
        $said = $isIt && ! $this->isClosed() ? $this->group('frame', StyleFields::frame()) : null;
        $counts = $said?->counts('panes') ?? [];
        [$stile, $bar, $mullion] = [$said?->real('stile'), $said?->real('bar'), $said?->real('mullion')];
        if ($said === null || $stile === null || $bar === null || $mullion === null || count($counts) !== 2) {
            return null;
        }
        $transom = $said->real('transom');
        $panes = new Panes(
            $counts[0], $counts[1], $stile, $bar, $said->flag('sash'), $said->flag('deep'), $said->count('lights') ?? 1, $mullion,
            $transom === null ? null : new UpperPanes($transom, $mullion, $counts[0], 1, $bar),
            $said->real('riser'), $said->flag('opens'), $said->text('bars') ?? Panes::CUT, self::tracery($said->group('tracery')),
            $said->real('raised'), $said->number('ajar') ?? 0.0, $said->count('ajar_light') ?? 1,
        );
        self::check($said, $panes);

        return $panes;
    }

    public function leaf(): ?Leaf
    {
        $isIt = $this->isSaid('leaf') ? $this->kind !== OpeningKind::Open : $this->kind === OpeningKind::Door;
        $said = $isIt && ! $this->isClosed() && ! $this->isSaid('frame') ? $this->group('leaf', StyleFields::leaf()) : null;
        [$rail, $bar, $panes] = [$said?->real('rail'), $said?->real('bar'), $said === null ? [] : $said->counts('panes')];
        if ($said === null || $rail === null || $bar === null || count($panes) !== 2) {
            return null;
        }
        $panels = $said->counts('panels');
        $slides = $said->oneOf('slides', ['left', 'right', 'apart']);
        $angle = $said->number('open') ?? 0.0;
        $hinges = $this->hinges($said, $slides);
        $isSingle = ! $said->flag('double') || $hinges !== null;
        if ($angle > 0.0 && ($slides !== null || ! $isSingle || $this->kind !== OpeningKind::Door)) {
            $said->at('open')?->fault('leaf.hung');
        }
        $from = $said->real('glazed');
        $kind = $said->text('kind');

        return new Leaf(
            in_array($kind, [Leaf::PANELLED, Leaf::BRACED, Leaf::LOUVRED, Leaf::ROLLER, Leaf::PLAIN], true) ? $kind : Leaf::PLANKS,
            // What does not apply is not read, and nothing asks for it.
            $said->real('board') ?? $rail, count($panels) === 2 ? [$panels[0], $panels[1]] : [1, 1], $rail, $said->flag('double'),
            $from === null ? null : new UpperPanes($from, $rail, $panes[0], $panes[1], $bar),
            $said->real('split'), $said->text('hinge') === 'right' ? 'right' : 'left', $said->text('handle') ?? 'none',
            $said->flag('letters'), $angle, $slides, ($said->number('slid') ?? 0.0) / 100.0, $hinges,
        );
    }

    /** @param  ?string  $slides  where its leaf goes, where it does */
    private function hinges(Fields $leaf, ?string $slides): ?Hinges
    {
        $said = $leaf->group('hinges');
        [$count, $post, $pin] = [$said?->count('count'), $said?->real('post'), $said?->model('pin')];
        if ($said === null || $count === null || $post === null || $pin === null) {
            return null;
        }
        $isLevel = in_array($this->said->group('head')?->text('shape') ?? 'flat', ['flat', 'cambered'], true);
        if ($slides !== null || $this->kind !== OpeningKind::Door || ! $isLevel || $leaf->real('split') !== null) {
            $leaf->at('hinges')?->fault('leaf.hinges');
        }

        return new Hinges($count, $post, $pin->mm);
    }

    public function glass(): ?Glass
    {
        $said = $this->said->group('glass');
        [$across, $up] = [$said?->real('across'), $said?->real('up')];

        return $said === null || $across === null || $up === null
            ? null
            : new Glass($said->text('look') ?? Glass::CLEAR, $said->text('colour'), $said->text('leading'), $across, $up);
    }

    public function blind(): ?Blind
    {
        $said = $this->kind === OpeningKind::Open ? null : $this->said->group('blind');

        return $said === null ? null : new Blind(Finish::tryFrom($said->text('of') ?? ''), $said->text('colour'));
    }

    private static function tracery(?Fields $said): ?Tracery
    {
        [$bar, $foils] = [$said?->real('bar'), $said?->count('foils')];
        if ($said === null || $bar === null || $foils === null) {
            return null;
        }
        if ($foils === 1 || $foils === 2) {
            $said->at('foils')?->fault('tracery.foils', ['given' => $foils]);
        }

        return new Tracery($said->text('heads') === 'round' ? 'round' : 'pointed', $foils, $bar);
    }

    public function bought(): ?Bought
    {
        $said = $this->kind === OpeningKind::Open ? null : $this->said->group('bought');
        [$w, $h, $depth] = [$said?->model('w'), $said?->model('h'), $said?->model('depth')];
        $price = $said?->text('price') ?? '';
        if ($said !== null && $price !== '' && ! is_numeric($price)) {
            $said->at('price')?->fault('wrong-type', ['given' => 'a text', 'wanted' => 'an amount such as “0.35”']);
        }

        return $said === null || $w === null || $h === null || $depth === null
            ? null
            : new Bought($w->mm, $h->mm, $depth->mm, $price, trim($said->text('source') ?? ''));
    }

    /** Whether neither a frame nor a leaf stands in it. */
    private function isClosed(): bool
    {
        return $this->isSaid('blind') || $this->isSaid('bought');
    }

    private static function check(Fields $said, Panes $panes): void
    {
        $isPlain = $panes->lights === 1 && $panes->above === null && $panes->riser === null && ! $panes->opens && $panes->areBarsCut();
        if ($panes->isDeep && (! $panes->sash || $panes->rows < 2 || ! $isPlain)) {
            $said->at('deep')?->fault('frame.not-deep');
        }
        if ($panes->tracery !== null && ($panes->hasBars() || $panes->above !== null || $panes->opens || $panes->lights < 2)) {
            $said->at('tracery')?->fault('tracery.plain');
        }
        if (! $panes->isDeep && ($panes->raised->mm ?? 0.0) > 0.0) {
            $said->at('raised')?->fault('frame.not-raised');
        }
        if (! $panes->opens && $panes->ajar > 0.0) {
            $said->at('ajar')?->fault('frame.not-ajar');
        }
        if ($panes->opens && $panes->ajar > 0.0 && $panes->ajarLight > $panes->lights) {
            $said->at('ajar_light')?->fault('frame.ajar', ['given' => $panes->ajarLight, 'lights' => $panes->lights]);
        }
        if ($panes->sash && $panes->opens) {
            $said->at('opens')?->fault('frame.slides');
        }
    }

    private function isSaid(string $key): bool
    {
        return $this->said->at($key) !== null;
    }

    /** What is said of it, or what is usual where nothing is. */
    private function group(string $key, FieldSet $set): ?Fields
    {
        return $this->isSaid($key) ? $this->said->group($key) : $set->read(Node::usual(new stdClass), $this->values->quiet());
    }
}
