<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** Accounts for every outline edge of the structure, and finds contacts that nobody declared. */
final class EdgeCheck
{
    private const FREE = ['opening', 'foot', 'eaves', 'verge', 'top', 'clearance'];

    /** @var list<Finding> */
    private array $findings = [];

    /** @var list<FreeEdge> */
    private array $free = [];

    /** @var array<string, true> edges that stand in a joint */
    private array $joined = [];

    /** @var array<string, true> edges that meet a face, with the face's piece */
    private array $declared = [];

    public function __construct(
        private readonly Assembly $assembly,
        private readonly Recall $recall,
    ) {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        foreach ($this->assembly->joints as [, $a, $b]) {
            $this->joined[$a->edgeKey()] = $this->joined[$b->edgeKey()] = true;
            $this->declared[$a->edgeKey().'>'.$b->key()] = true;
        }
        $pieces = $this->assembly->structure();
        foreach ($pieces as $piece) {
            $this->account($piece);
        }
        foreach ($pieces as $a) {
            foreach ($pieces as $b) {
                if ($a !== $b && $a->isNear($b, Tolerance::MEET)) {
                    $this->undeclared($a, $b);
                }
            }
        }

        return $this->findings;
    }

    /** @return list<FreeEdge> once all() has run */
    public function free(): array
    {
        return $this->free;
    }

    private function account(Piece $piece): void
    {
        $part = $piece->part;
        if (count($part->edges) !== $part->region->outline->count()) {
            $this->findings[] = new Finding('edge.unnamed', $part->id, "$part->id has edges without a name");

            return;
        }
        foreach ($part->edges as $i => $name) {
            if (isset($this->joined[$piece->key().'/'.$i])) {
                continue;
            }
            $why = $part->free[$i] ?? null;
            $this->free[] = new FreeEdge($part->id, $i, $name, $why, $part->region->outline->edgeLength($i));
            if ($why === null || ! in_array($why, self::FREE, true)) {
                $this->findings[] = new Finding(
                    'edge.unaccounted',
                    $part->id,
                    "The edge “{$name}” of $part->id is in no joint and is not said to be free",
                    $part->region->outline->edgeLength($i),
                );
            } elseif ($why === 'foot') {
                $this->foot($piece, $i);
            }
        }
    }

    /** A foot stands at the level it is said to, else on the lowest level of the structure. */
    private function foot(Piece $piece, int $edge): void
    {
        $ground = $piece->part->levels[$edge] ?? $this->lowest();
        foreach ($piece->strip($edge) as $corner) {
            if (abs($corner->z - $ground) > Tolerance::MEET) {
                $this->findings[] = new Finding(
                    'edge.foot',
                    $piece->part->id,
                    sprintf('The foot of %s stands %.3f mm off the ground', $piece->part->id, $corner->z - $ground),
                    abs($corner->z - $ground),
                );

                return;
            }
        }
    }

    private function lowest(): float
    {
        $ground = INF;
        foreach ($this->assembly->structure() as $other) {
            $ground = $other->part->group === 'shell' ? min($ground, $other->box[4]) : $ground;
        }

        return $ground;
    }

    private function undeclared(Piece $a, Piece $b): void
    {
        foreach ($this->recall->of(
            "touch$a->fingerprint$b->fingerprint",
            static fn (): array => self::touches($a, $b),
        ) as [$edge, $face, $length]) {
            if (! isset($this->declared[$a->key().'/'.$edge.'>'.$b->key()])) {
                $this->findings[] = new Finding(
                    'contact.undeclared',
                    $a->part->id,
                    sprintf('%s touches the %s of %s over %.2f mm, which no joint says', $a->part->id, $face, $b->part->id, $length),
                    $length,
                );
            }
        }
    }

    /** @return list<array{int, string, float}> edges of one that lie on a face of the other, and over how much */
    private static function touches(Piece $a, Piece $b): array
    {
        $touches = [];
        foreach (array_keys($a->part->region->outline->points) as $edge) {
            foreach ($b->facets as $facet) {
                foreach (['outside', 'inside'] as $face) {
                    // Most edges are nowhere near: one corner off the face rules the strip out.
                    if (abs($facet->beyond($a->strip($edge)[0], $face)) > Tolerance::MEET) {
                        continue;
                    }
                    $contact = Contact::find($a, $edge, $facet, $face);
                    if ($contact !== null && $contact->touch === 'strip' && $contact->length > Tolerance::PASSING) {
                        $touches[] = [$edge, $face, $contact->length];
                    }
                }
            }
        }

        return $touches;
    }
}
