<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Bought;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Style;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Problems;

/** What stands in openings of a kind that cannot be made, although every field is sound. docs/formulas.md#frame */
final readonly class FillingFaults
{
    public static function collect(Building $building, Form $form, Problems $problems): void
    {
        $done = [];
        $panes = new PaneHoles($building);
        foreach ($form->walls() as $wall) {
            foreach ($wall->openings as $opening) {
                $style = $opening->opening->style;
                // What stands on the ground is not as what does not.
                $how = $style->id.($opening->reachesFoot() ? ' on the ground' : ' over it');
                if (! isset($done[$how])) {
                    $done[$how] = true;
                    self::others($building, $opening, $problems);
                }
                if (isset($done[$style->id])) {
                    continue;
                }
                $done[$style->id] = true;
                self::ofKind($style, $problems);
                $leaf = self::leaf($building, $opening, $problems);
                self::ofLayout($style, $leaf === null ? null : $panes->layout($leaf), $opening, $problems);
            }
        }
    }

    /** What is divided: the opening, or what the leaf in its frame would fill; null where that has no room. */
    private static function leaf(Building $building, OpeningForm $opening, Problems $problems): ?OpeningForm
    {
        $leaf = $opening->opening->style->leaf;
        if ($leaf?->hinges === null) {
            return $opening;
        }
        $hung = new HungLeaf($building, $opening, $leaf);
        if ($hung->hasRoom()) {
            return $hung->leaves()[0];
        }
        $problems->add("styles.{$opening->opening->style->id}.leaf.hinges", 'leaf.hinges-room', [
            'post' => LengthFormat::imperial($leaf->hinges->post->mm),
        ]);

        return null;
    }

    /** What cannot be divided as is said. */
    private static function ofLayout(Style $style, ?PaneLayout $layout, OpeningForm $opening, Problems $problems): void
    {
        $path = "styles.$style->id.".($style->frame === null ? 'leaf' : 'frame');
        match (true) {
            $layout === null => null,
            $layout->hasPanes() && $layout->tracery?->isPossible() === false => $problems->add("$path.tracery", 'tracery.no-room'),
            ! $layout->isPossible() => $problems->add($path, 'frame.no-room', [
                'stile' => round($layout->stile, 2), 'bar' => round($layout->bar, 2),
                'width' => round($opening->shape->width, 2), 'height' => round($opening->shape->height, 2),
            ]),
            $layout->halves()?->mayPass() === false => $problems->add("$path.raised", 'frame.raised', [
                'given' => round($layout->halves()->raised, 2), 'limit' => round($layout->halves()->mayRise(), 2),
            ]),
            $style->frame !== null && AjarLight::of($style->frame, $layout)?->isLevel() === false =>
                $problems->add("$path.ajar", 'frame.ajar-head'),
            default => null,
        };
    }

    /** What is wrong with a kind wherever it is. */
    private static function ofKind(Style $style, Problems $problems): void
    {
        $path = "styles.$style->id";
        if ($style->leaf?->split !== null && $style->leaf->split->mm >= $style->h->mm) {
            $problems->add("$path.leaf.split", 'leaf.split', ['height' => LengthFormat::imperial($style->h->mm)]);
        }
        $leads = $style->glass === null ? 0.0 : GlassPrint::leads($style->glass, $style->w->mm, $style->h->mm);
        if ($leads > GlassPrint::MOST_LEADS) {
            $problems->add("$path.glass", 'glass.leads', ['given' => round($leads), 'limit' => GlassPrint::MOST_LEADS]);
        }
    }

    private static function others(Building $building, OpeningForm $opening, Problems $problems): void
    {
        $style = $opening->opening->style;
        $path = "styles.$style->id";
        if ($opening->shape->isRound() && $opening->reachesFoot()) {
            $problems->add("{$opening->opening->path}.sill", 'head.circle-foot');
        }
        if ($style->bought === null || $opening->true !== null) {
            return;
        }
        $more = 2.0 * (FillingParts::CLEARANCE_MM - $building->methods->rebateMm($style, $building->scale));
        $wanted = [$style->bought->w + $more, $style->bought->h + $more / ($opening->reachesFoot() ? 2.0 : 1.0)];
        $is = [$opening->shape->width, $opening->shape->height];
        if (max(abs($is[0] - $wanted[0]), abs($is[1] - $wanted[1])) > Bought::OFF_MM) {
            $problems->add("$path.bought", 'bought.size', [
                'width' => LengthFormat::millimetres($wanted[0]), 'height' => LengthFormat::millimetres($wanted[1]),
                'is' => LengthFormat::millimetres($is[0]).' by '.LengthFormat::millimetres($is[1]),
                'ground' => $opening->reachesFoot() ? 1 : 0,
            ]);
        }
    }
}
