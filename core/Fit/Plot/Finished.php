<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Kit\DryFit\Folding;
use Chartula\Core\Kit\DryFit\Piece;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Recall\Recall;

/** The finished outside as it stands on the plot: every card and paper of the assembled kit. */
final readonly class Finished
{
    /**
     * @param  list<FinishedPiece>  $pieces
     * @param  string  $place  where the building stands on the plot, in one word
     */
    private function __construct(
        public array $pieces,
        private string $place,
        private Recall $recall,
    ) {
    }

    /**
     * Something about a piece alone, as it stands on the plot: worked out once.
     *
     * @template T
     *
     * @param  string  $question  in one word, with all that the answer depends on but the piece and its place
     * @param  callable(): T  $work
     * @return T
     */
    public function recalled(FinishedPiece $piece, string $question, callable $work): mixed
    {
        return $this->recall->of($question.$this->place.$piece->fingerprint, $work);
    }

    public static function of(Plot $plot, Assembly $assembly, Recall $recall = new Recall): self
    {
        $place = Recall::question('', $plot->at, $plot->turnDeg);
        $pieces = [];
        foreach ($assembly->pieces as $piece) {
            $facets = static function () use ($piece): array {
                /** @var ?non-empty-list<Facet> $facets */
                static $facets = null;

                return $facets ??= self::facets($piece);
            };
            $whole = $recall->of(
                "stands$place$piece->fingerprint",
                static fn (): Body => FinishedPiece::body(array_merge(...array_map(FinishedPiece::cornersOf(...), $facets())), $plot),
            );
            $pieces[] = new FinishedPiece(
                $piece->part->id,
                trim($piece->part->label.' '.($piece->part->name ?? $piece->part->id)),
                $piece->fingerprint,
                PartGroup::from($piece->part->group),
                $whole,
                $facets,
                $plot,
            );
        }

        return new self($pieces, $place, $recall);
    }

    /** @return non-empty-list<Facet> papers as they fold */
    private static function facets(Piece $piece): array
    {
        return $piece->part->isPaper() && $piece->part->folds !== [] ? Folding::facets($piece->part, $piece->frame) : $piece->facets;
    }

    /**
     * How far it reaches on the plot.
     *
     * @return array{x0: float, x1: float, y0: float, y1: float, high: float}
     */
    public function extents(): array
    {
        $extents = ['x0' => INF, 'x1' => -INF, 'y0' => INF, 'y1' => -INF, 'high' => -INF];
        foreach ($this->pieces as $piece) {
            $extents = [
                'x0' => min($extents['x0'], $piece->box->x0), 'x1' => max($extents['x1'], $piece->box->x1),
                'y0' => min($extents['y0'], $piece->box->y0), 'y1' => max($extents['y1'], $piece->box->y1),
                'high' => max($extents['high'], $piece->whole->high),
            ];
        }

        return $extents;
    }
}
