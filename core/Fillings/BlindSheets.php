<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Blind;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Wall;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\Pattern\Palette;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Skin\CoveredFace;
use Chartula\Core\Skin\Covering;
use Chartula\Core\Skin\Coverings;

/** What an opening is filled up with: a card, and on it the paper of a wall, its courses in line with those beside it. */
final readonly class BlindSheets
{
    /** Of a wall that nobody has named. */
    private const USUAL = Finish::BrickStretcher;

    /**
     * @param  ?WallSpan  $span  in which it is; null where it is drawn by itself
     * @return non-empty-list<Sheet>
     */
    public static function of(Fitted $in, Blind $blind, ?WallSpan $span): array
    {
        $covering = self::covering($in->building, $blind, $span?->form->wall);
        $card = $in->card('blind', 'D', 'filling', [])->with(why: $covering === null ? '' : 'its paper stuck on what fills it');
        if ($covering === null) {
            return [$card];
        }
        $paper = $in->building->methods->paper;
        $opening = $in->opening->true ?? $in->opening;
        $base = $span === null ? 0.0 : $in->building->scale->modelMm($span->block->base);
        $face = new CoveredFace(-$base - $opening->sill, [0.0, $opening->shape->width], receding: $in->opening->shape->receding);

        return [new Sheet(
            'blind-paper', 'P', $in->named('filling, paper'), $paper, $paper->thickness_mm, $in->outline(), [], $in->workings(),
            art: $covering->artwork($face), group: PartGroup::Skin,
        ), $card];
    }

    private static function covering(Building $building, Blind $blind, ?Wall $wall): ?Covering
    {
        $covering = match (true) {
            $blind->of !== null => Coverings::of($blind->of, $building),
            $wall === null => Coverings::of(self::USUAL, $building),
            default => Coverings::of($wall->finish, $building, $wall->paper, $wall->palette),
        };

        return $covering === null || $blind->colour === null
            ? $covering
            : new Covering($covering->pattern->inPalette(Palette::of($blind->colour), null), $covering->unit);
    }
}
