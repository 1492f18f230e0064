<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Fillings\FillingFaults;
use Chartula\Core\Fillings\FillingParts;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Roof\BoardParts;
use Chartula\Core\Roof\FormerParts;
use Chartula\Core\Roof\LedgeParts;
use Chartula\Core\Roof\RoofParts;
use Chartula\Core\Roof\UnderRoof;
use Chartula\Core\Shell\BaseParts;
use Chartula\Core\Shell\BraceParts;
use Chartula\Core\Shell\FormFaults;
use Chartula\Core\Shell\WallParts;
use Chartula\Core\Skin\CourseMarks;
use Chartula\Core\Skin\PaperParts;
use Chartula\Core\Skin\RevealStrips;
use Chartula\Core\Skin\SlopePapers;
use Chartula\Core\Trim\DeepOpeningParts;
use Chartula\Core\Trim\DeepOpeningPlace;
use Chartula\Core\Trim\GroundParts;
use Chartula\Core\Trim\RaisedParts;
use Chartula\Core\Trim\ThingParts;

/** The makers of a kit, in the order in which parts are numbered. */
final readonly class Makers
{
    /** @return list<Maker> */
    public static function all(): array
    {
        return [
            new Maker(
                'walls',
                static fn (Carcass $c): Made => new Made(WallParts::make($c->walls)),
                static fn (Carcass $c, Problems $p) => FormFaults::collect($c->building, $c->walls, $p),
            ),
            new Maker('floors', static fn (Carcass $c): Made => new Made(BaseParts::make($c->building, $c->walls))),
            new Maker('braces', static fn (Carcass $c): Made => new Made(BraceParts::make($c->building, $c->walls))),
            new Maker(
                'roofs',
                static fn (Carcass $c): Made => new Made(
                    CourseMarks::on(RoofParts::make($c->building, $c->panels(), $c->walls), $c->building, $c->panels())
                        ->with(self::supports($c)),
                ),
                sees: static fn (Carcass $c): Carcass => $c->plain(),
            ),
            new Maker('ledges', static fn (Carcass $c): Made => new Made(LedgeParts::make($c->panels(), $c->walls))),
            new Maker('papers', static fn (Carcass $c): Made => new Made(PartSet::joined([
                PaperParts::make($c->building, $c->walls), RevealStrips::make($c->building, $c->walls),
            ]))),
            new Maker('papers of slopes', static fn (Carcass $c): Made => new Made(SlopePapers::make($c->building, $c->panels()))),
            new Maker(
                'frames, panes and leaves',
                static fn (Carcass $c, Recall $recall): Made => new Made(FillingParts::make($c->building, $c->walls, $recall)),
                static fn (Carcass $c, Problems $p) => FillingFaults::collect($c->building, $c->form, $p),
            ),
            new Maker('what stands round openings', static fn (Carcass $c): Made => new Made(RaisedParts::make($c->building, $c->walls))),
            new Maker('things', static fn (Carcass $c): Made => new Made(ThingParts::make($c->building, $c->form, $c->panels(...)))),
            new Maker(
                'insides of openings',
                static fn (Carcass $c): Made => new Made(DeepOpeningParts::make($c->building, $c->walls)),
                static function (Carcass $c, Problems $p): void {
                    DeepOpeningPlace::all($c->building, $c->walls, $p);
                },
            ),
            new Maker('ground', static fn (Carcass $c): Made => new Made(GroundParts::make($c->building))),
        ];
    }

    /** Formers and boards under all roofs. */
    private static function supports(Carcass $carcass): PartSet
    {
        return PartSet::joined(array_map(static function (BlockForm $block) use ($carcass): PartSet {
            $room = new UnderRoof($carcass->panels(), $carcass->walls, $block);
            $formers = FormerParts::make($room);

            return $formers->with(BoardParts::make($room, $formers));
        }, $carcass->building->methods->hasSupports ? $carcass->form->blocks : []));
    }
}
