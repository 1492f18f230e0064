<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Reads `styles`: the kinds of openings. */
final readonly class StyleReader
{
    private const MOST_STYLES = 200;

    private FieldSet $fields;

    public function __construct(private Values $values, private Kinds $kinds)
    {
        $this->fields = StyleFields::set($kinds);
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
        $said = $this->fields->read($node, $this->values);
        $kind = OpeningKind::tryFrom($said?->text('kind') ?? '');
        $w = $said?->real('w');
        $h = $said?->real('h');
        $rise = $said === null ? null : self::rise($said->group('head'), $w, $h);
        $reveal = $said?->real('reveal');
        if ($said === null || $kind === null || $w === null || $h === null || $reveal === null) {
            return null;
        }
        $filling = FillingReader::of($said, $kind, $this->values);
        self::checkRound($said, $kind, $w, $h);

        return new Style(
            $id,
            Style::wordsOf($id, $node->value),
            $kind,
            $w,
            $h,
            $rise,
            $reveal,
            $filling->frame(),
            $this->dress($said),
            $said->real('rebate'),
            Finish::tryFrom($said->text('lining') ?? ''),
            $said->text('lining_colour'),
            leaf: $filling->leaf(),
            glass: $filling->glass(),
            blind: $filling->blind(),
            bought: $filling->bought(),
            head: HeadShape::tryFrom($said->group('head')?->text('shape') ?? '') ?? HeadShape::Flat,
            held: Holding::tryFrom($said->text('held') ?? ''),
        );
    }

    /** Gives the rise that is said of a head; null where none is, and for one that cannot be. */
    private static function rise(?Fields $head, ?RealLength $w, ?RealLength $h): ?RealLength
    {
        $shape = HeadShape::tryFrom($head?->text('shape') ?? '');
        if ($head === null || $shape === null || $w === null || $h === null || $shape === HeadShape::Flat) {
            return null;
        }
        $rise = in_array($shape, [HeadShape::Round, HeadShape::Circle, HeadShape::Cambered], true) ? null : $head->real('rise');
        $mm = $shape->rise($w->mm, $rise?->mm);
        if ($mm === null) {
            if ($head->at('rise') === null) {
                $head->node->missing('rise');
            }

            return null;
        }
        [$least, $most] = $shape->limits($w->mm);
        $place = $rise === null ? $head->at('shape') : $head->at('rise');
        $words = ['rise' => LengthFormat::metric($mm), 'width' => LengthFormat::metric($w->mm), 'shape' => $shape->value];
        if ($mm > $most + Tolerance::ROUNDING) {
            $place?->fault('head.rise-too-great', $words + ['limit' => LengthFormat::metric($most)]);
        } elseif ($mm <= $least) {
            $place?->fault('head.rise-too-small', $words + ['limit' => LengthFormat::metric($least)]);
        } elseif ($mm >= $h->mm) {
            $place?->fault('head.above-height', ['rise' => LengthFormat::metric($mm), 'height' => LengthFormat::metric($h->mm)]);
        }

        return $rise;
    }

    /** A round light is as high as it is wide, of a window or open, and nothing stands round it yet. */
    private static function checkRound(Fields $said, OpeningKind $kind, RealLength $w, RealLength $h): void
    {
        if ($said->group('head')?->text('shape') !== HeadShape::Circle->value) {
            return;
        }
        if (abs($w->mm - $h->mm) > Tolerance::FIGURE) {
            $said->at('h')?->fault('head.circle', ['width' => LengthFormat::metric($w->mm), 'height' => LengthFormat::metric($h->mm)]);
        }
        if ($kind === OpeningKind::Door || $said->group('leaf') !== null) {
            $said->group('head')->at('shape')?->fault('head.circle-leaf');
        }
        if ($said->list('dress') !== [] || $said->group('sill') !== null) {
            ($said->at('dress') ?? $said->at('sill'))?->fault('head.circle-dress');
        }
        if ($said->group('frame')?->group('tracery') !== null) {
            $said->group('frame')->at('tracery')?->fault('head.circle-tracery');
        }
    }

    /** @return list<Feature> */
    private function dress(Fields $said): array
    {
        $sill = $said->group('sill');
        $dress = $this->kinds->made($said->list('dress'));
        if ($sill === null) {
            return $dress;
        }
        if (array_filter($dress, static fn (Feature $f): bool => $f->kind->name() === 'sill') !== []) {
            $said->at('sill')?->fault('dress.sill-twice');
        }
        $older = StyleFields::older($sill, $this->kinds);

        return $older === null ? $dress : [...$dress, $older];
    }
}
