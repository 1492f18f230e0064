<?php

declare(strict_types=1);

namespace Chartula\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Ruler;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Problem\InvalidInput;
use stdClass;

/** Stands the building so far before a side of its plot as a person says: from the finished outside, roofs and papers counted. */
final readonly class PlotPlaces
{
    public const OP = 'stand-before';

    /**
     * The edit as a move on the plot.
     *
     * @param  int  $i  its place among the edits
     *
     * @throws InvalidInput where there is no such side, or the building cannot be made as it is
     */
    public static function placed(stdClass $document, stdClass $edit, int $i): stdClass
    {
        try {
            $fit = Derivation::of(BuildingReader::fromDocument($document), JsonText::encode($document))->fit;
        } catch (InvalidInput) {
            throw InvalidInput::at("edits.$i", 'edit.not-yet');
        }
        $side = $fit === null ? null : self::side($fit, is_string($edit->edge ?? null) ? $edit->edge : null);
        if ($fit === null || $side === null) {
            throw InvalidInput::at("edits.$i.edge", 'edit.no-such', ['given' => is_string($edit->edge ?? null) ? $edit->edge : 'backscene']);
        }
        $by = is_string($edit->by ?? null) ? trim($edit->by) : '';
        // Nothing but millimetres of the layout is measured here.
        $by = preg_match('/^\d+([.,]\d+)?$/D', $by) === 1 ? str_replace(',', '.', $by).'mm' : $by;
        $wanted = Ruler::of($document)->readModel($by);
        if ($wanted <= 0.0 && $by !== '0mm') {
            throw InvalidInput::at("edits.$i.by", 'length.no-unit', ['given' => $by, 'example' => '4mm']);
        }
        [$edge, $clearance] = $side;
        // As far from the side as it stands now, less as far as it is to stand.
        $out = $clearance->left_mm + $fit->plot->wanted($edge) - $wanted;
        $along = $fit->plot->outline->point($edge + 1)->minus($fit->plot->outline->point($edge));
        $along = $along->times(1.0 / $along->length());

        return (object) ['op' => 'move-on-plot', 'x' => round($along->y * $out, 3), 'y' => round(-$along->x * $out, 3)];
    }

    /** @return ?array{int, Clearance} the side that is named, or the one before the backscene, and what is left there */
    private static function side(Fit $fit, ?string $name): ?array
    {
        $edge = $name === null ? ($fit->plot->backscene[0] ?? null) : array_search($name, $fit->plot->edges, true);
        foreach ($fit->clearances as $clearance) {
            if (is_int($edge) && $clearance->kind === 'side' && $clearance->with === $fit->plot->edges[$edge]) {
                return [$edge, $clearance];
            }
        }

        return null;
    }
}
