<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Building\Block;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\PrintedKit;
use Chartula\Core\Problem\Check;

/** The building's state in sentences: the docket over every screen, and the words on the stages' labels. */
final readonly class Docket
{
    /** @return list<array{key: string, over: string, text: string, state: string}> state: fits, look, stop or plain */
    public static function of(Derivation $d): array
    {
        $open = count($d->dryFit->findings);
        $checks = array_values(array_filter($d->checks, static fn (Check $c): bool => ! Thoughts::isLeft($d->described, $c)));
        $stops = self::count($checks, Check::STOP);
        $warnings = self::count($checks, Check::WARN);
        $notes = self::count($checks, Check::NOTE);
        $pieces = $d->kit->count();

        return [
            ...self::plot($d->fit),
            [
                'key' => 'dry-fit', 'over' => 'dry fit',
                'text' => $open === 0 ? $d->dryFit->joints.' joints close' : self::many($open, 'place does', 'places do').' not close',
                'state' => $open === 0 ? 'fits' : 'stop',
            ],
            ['key' => 'checks', 'over' => 'to think about', 'text' => match (true) {
                $stops > 0 => self::many($stops, 'thing stops', 'things stop').' it',
                $warnings > 0 => self::many($warnings, 'thing', 'things').' to look at again',
                $notes > 0 => self::many($notes, 'note', 'notes'),
                default => 'nothing',
            }, 'state' => $stops > 0 ? 'stop' : ($warnings > 0 ? 'look' : 'plain')],
            ['key' => 'parts', 'over' => 'parts', 'text' => "$pieces pieces", 'state' => 'plain'],
            self::sheets($d->printed),
        ];
    }

    /** @return array{key: string, over: string, text: string, state: string} */
    public static function sheets(PrintedKit $printed): array
    {
        return [
            'key' => 'sheets', 'over' => 'sheets',
            'text' => count($printed->plan->sheets).' of '.$printed->building->sheets->words(), 'state' => 'plain',
        ];
    }

    public static function pages(PrintedKit $printed): string
    {
        return self::many(count($printed->plan->sheets), 'page', 'pages');
    }

    /** @return list<array{key: string, over: string, text: string, state: string}> */
    private static function plot(?Fit $fit): array
    {
        if ($fit === null) {
            return [];
        }
        $worst = $fit->clearances[0] ?? null;
        $bad = count(array_filter($fit->clearances, static fn (Clearance $c): bool => ! $c->isFree()));

        return [['key' => 'plot', 'over' => 'fits the plot?', 'text' => match (true) {
            $worst === null => 'nothing to judge by',
            $bad === 0 => sprintf('yes, %.1f mm to spare', max(0.0, $worst->left_mm)),
            $bad === 1 => sprintf('no: %s, %.1f mm short', $worst->with, -$worst->left_mm),
            default => sprintf('no: %.1f mm short, %d places', -$worst->left_mm, $bad),
        }, 'state' => $bad === 0 ? 'fits' : 'stop']];
    }

    /**
     * How a building is known among others: how large it is over all, and how far it has come.
     *
     * @return array{scale: string, wide: array<string, string|float>, deep: array<string, string|float>, text: string, state: string}
     */
    public static function card(Derivation $d): array
    {
        $rings = array_map(static fn (BlockForm $b): array => $b->ring->points, $d->kit->form->blocks);
        $box = Box2::around(array_merge(...$rings));
        $scale = $d->building->scale;
        // What is worst is what is said.
        $said = array_column(self::of($d), null, 'key');
        $open = array_filter(['dry-fit', 'plot', 'checks'], static fn (string $k): bool => ($said[$k]['state'] ?? '') === 'stop');
        $worst = $said[array_values($open)[0] ?? 'dry-fit'];

        return [
            'scale' => '1:'.LengthFormat::trimmed($d->described->scale->ratio, 4),
            'wide' => Size::ofModel($box->width(), $scale), 'deep' => Size::ofModel($box->height(), $scale),
            'text' => ($worst['key'] === 'plot' ? 'fits the plot? ' : '').$worst['text'], 'state' => $worst['state'],
        ];
    }

    /** @return array<string, string> a few words for each stage */
    public static function stages(Derivation $d): array
    {
        $openings = array_sum(array_map(static fn (WallForm $w): int => count($w->openings), $d->kit->form->walls()));
        $papers = count(array_filter($d->kit->parts, static fn (LabelledPart $p): bool => $p->part->group === PartGroup::Skin
            && [$p->part->of->layer, $p->part->of->opening, $p->part->of->feature] === ['paper', null, null]));
        $bare = count(array_filter($d->kit->form->walls(), static fn (WallForm $w): bool => ! $w->isPapered));

        return [
            'prototype' => 'described',
            'plot' => $d->fit === null ? 'no place yet' : ($d->fit->fits() ? 'fits' : 'does not fit'),
            'shell' => self::many($openings, 'opening', 'openings'),
            'roof' => self::roof($d->building->blocks),
            'skin' => $papers === 0
                ? ($bare === count($d->kit->form->walls()) ? 'all bare' : 'no papers yet')
                : self::many($papers, 'paper', 'papers'),
            'sheets' => self::pages($d->printed),
        ];
    }

    /** @param  non-empty-list<Block>  $blocks */
    private static function roof(array $blocks): string
    {
        $words = array_map(
            static fn (Block $b): string => ($b->roof->pitch->degrees > 0.0 ? $b->roof->pitch->text().' ' : '').$b->roof->kind->value,
            $blocks,
        );

        return count($blocks) === 1 ? $words[0] : count($blocks).' roofs';
    }

    private static function many(int $count, string $one, string $more): string
    {
        return $count.' '.($count === 1 ? $one : $more);
    }

    /**
     * How many findings there are, each counted once however many places it concerns.
     *
     * @param  list<Check>  $checks
     */
    private static function count(array $checks, string $level): int
    {
        $own = array_filter($checks, static fn (Check $c): bool => $c->level === $level);

        return count(array_unique(array_map(static fn (Check $c): string => $c->code, $own)));
    }
}
