<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\PartGroup;

/** The parts of a kit by the thing that stands by itself and is made of them, such as a chimney. */
final readonly class Things
{
    /** Of more than so many labels only the first and the last are said. */
    private const FEW = 3;

    /** @param  array<string, non-empty-list<LabelledPart>>  $parts  by block and thing */
    private function __construct(public array $parts)
    {
    }

    public static function of(Kit $kit): self
    {
        $parts = [];
        foreach ($kit->parts as $part) {
            $of = $part->part->of;
            if ($of->feature !== null && $of->edge === null) {
                $parts["$of->block.$of->feature"][] = $part;
            }
        }

        return new self($parts);
    }

    /** The labels of its cards; of many the first and the last. */
    public function label(string $key): string
    {
        $cards = array_filter($this->parts[$key] ?? [], static fn (LabelledPart $p): bool => $p->part->group !== PartGroup::Skin);
        $labels = array_map(static fn (LabelledPart $p): string => $p->label, array_values($cards));

        return count($labels) > self::FEW ? $labels[0].' to '.$labels[count($labels) - 1] : implode(' ', $labels);
    }
}
