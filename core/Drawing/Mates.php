<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\Ref;

/** What every part of a kit meets, by the labels that are printed. */
final readonly class Mates
{
    /**
     * @param  array<string, array<int, list<string>>>  $edges  labels by piece (`main.front.core#0`) and edge of its outline
     * @param  array<string, list<array{string, Vec3, Vec3}>>  $stood  what stands on a face, and where, by piece and face
     * @param  array<string, list<string>>  $carriers  labels of what it is stuck to or stands in, by piece
     */
    private function __construct(private array $edges, private array $carriers, private array $stood)
    {
    }

    public static function of(Kit $kit): self
    {
        $labels = $edges = $carriers = $stood = [];
        foreach ($kit->parts as $part) {
            $labels[$part->part->id] = $part;
        }
        foreach ($kit->joints as $joint) {
            foreach ([[$joint->a, $joint->b], [$joint->b, $joint->a]] as [$own, $other]) {
                $key = $own->part.'#'.$own->copy;
                if ($own->edge !== null && $own->hole === null) {
                    $edges[$key][$own->edge][] = $labels[$other->part]->label;
                } elseif ($own->face !== null && $other->edge !== null && count($joint->contact) === 2) {
                    $stood["$key $own->face"][] = [$labels[$other->part]->label, $joint->contact[0], $joint->contact[1]];
                } elseif (self::isCarried($labels[$own->part], $own, $other)) {
                    $carriers[$key][] = $labels[$other->part]->label;
                }
            }
        }

        return new self(
            array_map(static fn (array $all): array => array_map(self::unlike(...), $all), $edges),
            array_map(self::unlike(...), $carriers),
            $stood,
        );
    }

    /** Papers are stuck to cards, and frames, glass and leaves stand in openings. */
    private static function isCarried(LabelledPart $part, Ref $own, Ref $other): bool
    {
        return match ($part->part->group) {
            PartGroup::Skin => $own->face === 'inside',
            PartGroup::Trim => $own->face === 'outline' || $own->face === 'outside',
            default => $own->face === 'inside' && $other->face === 'outside',
        };
    }

    /**
     * @param  list<string>  $labels
     * @return list<string>
     */
    private static function unlike(array $labels): array
    {
        return array_values(array_unique($labels));
    }

    /** @return array<int, list<string>> by edge of the outline */
    public function along(string $part, int $copy): array
    {
        return $this->edges["$part#$copy"] ?? [];
    }

    /**
     * What stands on one of its faces.
     *
     * @return list<array{string, Vec3, Vec3}> its label, and in the building's axes the line along which it stands
     */
    public function on(string $part, int $copy, string $face): array
    {
        return $this->stood["$part#$copy $face"] ?? [];
    }

    /** @return list<string> what a part is stuck to, or stands in */
    public function carriers(string $part, int $copy): array
    {
        return $this->carriers["$part#$copy"] ?? [];
    }
}
