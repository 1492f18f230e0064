<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;

/** Reads `styles`: the kinds of openings. */
final readonly class StyleReader
{
    private const MOST_STYLES = 200;

    /** A reveal shows half a brick where nothing else is said. */
    private const REVEAL_MM = 114.3;

    private const HEADS = ['flat', 'segmental', 'round', 'pointed', 'three-centred', 'elliptical'];

    public function __construct(private Values $values)
    {
    }

    /** @return array<string, Style> by id */
    public function readAll(?Node $node): array
    {
        $styles = [];
        foreach ($node?->entries(self::MOST_STYLES) ?? [] as [$id, $entry]) {
            if (preg_match('/^[a-z0-9-]{1,32}$/D', $id) !== 1) {
                $entry->fault('id-shape', ['given' => mb_substr($id, 0, 40)]);
            }
            $style = $this->read($id, $entry);
            if ($style !== null) {
                $styles[$id] = $style;
            }
        }

        return $styles;
    }

    private function read(string $id, Node $node): ?Style
    {
        if (! $node->isObject(['kind', 'w', 'h'], ['name', 'head', 'reveal', 'rebate', 'sill', 'frame'])) {
            return null;
        }
        $node->get('name')?->text(Style::LONGEST_NAME);
        $said = $node->get('kind')?->choice(OpeningKind::known());
        $kind = $said === null ? null : OpeningKind::from($said);
        $w = $this->values->real($node->get('w'));
        $h = $this->values->real($node->get('h'));
        $rise = $this->rise($node->get('head'), $w, $h);
        $reveal = $node->get('reveal') === null
            ? RealLength::ofMillimetres(self::REVEAL_MM)
            : $this->values->real($node->get('reveal'), Sign::ZeroOrMore);
        $rebate = $this->rebate($node->get('rebate'), $kind);
        $sill = $this->sill($node->get('sill'));
        $frame = $this->panes($node->get('frame'), $kind === OpeningKind::Window);

        return $kind === null || $w === null || $h === null || $reveal === null
            ? null
            : new Style($id, Style::wordsOf($id, $node->value), $kind, $w, $h, $rise, $reveal, $sill, $frame, $rebate);
    }

    /** Nothing stands in an opening that is left open: there is nothing to hold. */
    private function rebate(?Node $node, ?OpeningKind $kind): ?RealLength
    {
        if ($node !== null && $kind === OpeningKind::Open) {
            $node->fault('rebate.nothing-to-hold', []);

            return null;
        }

        return $this->values->real($node);
    }

    private function rise(?Node $head, ?RealLength $w, ?RealLength $h): ?RealLength
    {
        if ($head === null || ! $head->isObject(['shape'], ['rise'])) {
            return null;
        }
        $shape = $head->get('shape')?->choice(self::HEADS);
        if ($shape === 'flat' || $shape === null) {
            return null;
        }
        if ($shape !== 'segmental') {
            $head->get('shape')?->fault('not-made-yet', ['given' => $shape, 'instead' => 'use “flat” or “segmental” for now']);

            return null;
        }
        if ($head->get('rise') === null) {
            $head->missing('rise');
        }
        $rise = $this->values->real($head->get('rise'));
        if ($rise === null || $w === null || $h === null) {
            return null;
        }
        if ($rise->mm > $w->mm / 2.0) {
            $head->get('rise')?->fault('head.rise-too-great', [
                'rise' => LengthFormat::metric($rise->mm), 'width' => LengthFormat::metric($w->mm),
                'limit' => LengthFormat::metric($w->mm / 2.0)]);
        } elseif ($rise->mm >= $h->mm) {
            $head->get('rise')?->fault(
                'head.above-height',
                ['rise' => LengthFormat::metric($rise->mm), 'height' => LengthFormat::metric($h->mm)],
            );
        }

        return $rise;
    }

    private function sill(?Node $node): ?Sill
    {
        if ($node === null || ! $node->isObject(['h'], ['proud', 'beyond'])) {
            return null;
        }
        $h = $this->values->real($node->get('h'));
        $proud = $node->get('proud') === null
            ? RealLength::ofMillimetres(50.8)
            : $this->values->real($node->get('proud'), Sign::ZeroOrMore);
        $beyond = $node->get('beyond') === null
            ? RealLength::ofMillimetres(76.2)
            : $this->values->real($node->get('beyond'), Sign::ZeroOrMore);

        return $h === null || $proud === null || $beyond === null ? null : new Sill($h, $proud, $beyond);
    }

    private function panes(?Node $node, bool $isWindow): ?Panes
    {
        $stile = RealLength::ofMillimetres(50.8);
        $bar = RealLength::ofMillimetres(25.4);
        if ($node === null) {
            return $isWindow ? new Panes(1, 1, $stile, $bar, false) : null;
        }
        if (! $node->isObject([], ['panes', 'stile', 'bar', 'sash'])) {
            return null;
        }
        $counts = array_map(static fn (Node $n): ?int => $n->whole(1, 50), $node->get('panes')?->items(2, 2) ?? []);
        $sash = $node->get('sash')?->bool();

        return new Panes(
            $counts[0] ?? 1,
            $counts[1] ?? 1,
            $this->values->real($node->get('stile')) ?? $stile,
            $this->values->real($node->get('bar')) ?? $bar,
            $sash ?? false,
        );
    }
}
