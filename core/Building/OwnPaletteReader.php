<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;

/** Reads `palettes`: colours under names. */
final readonly class OwnPaletteReader
{
    private const MOST = 50;

    private ListType $list;

    public function __construct(private Values $values)
    {
        $this->list = new ListType(OwnPaletteFields::set(), 'Colours', self::MOST);
    }

    /** @return array<string, OwnPalette> by id */
    public function readAll(?Node $node): array
    {
        $palettes = [];
        foreach ($node === null ? [] : $this->list->read($node, $this->values) as $said) {
            $id = $said->text('id');
            $palettes += $id === null ? [] : [$id => self::palette($id, $said)];
        }

        return $palettes;
    }

    private static function palette(string $id, Fields $said): OwnPalette
    {
        $colours = [];
        foreach ($said->list('colours') as $one) {
            $colour = $one->text('colour');
            $colours = $colour === null ? $colours : [...$colours, [$colour, $one->count('parts') ?? 1]];
        }
        [$burnt, $bands, $diaper] = [$said->group('burnt'), $said->group('bands'), $said->group('diaper')];
        $is = static fn (?Fields $of): ?string => $of?->text('colour');
        [$every, $high] = [$bands?->count('every') ?? 2, $bands?->count('high') ?? 1];
        if ($bands !== null && $high >= $every) {
            ($bands->at('high') ?? $bands->node)->fault('number-out-of-range', ['given' => $high, 'wanted' => "less than every $every"]);
        }

        return new OwnPalette(
            $id, $said->text('name') ?? '', $colours, $said->text('joint'),
            $is($burnt) === null ? null : [$is($burnt), ($burnt?->number('share') ?? 100.0) / 100.0],
            $is($bands) === null ? null : [$is($bands), $every, $high],
            $is($diaper) === null ? null : [$is($diaper), $diaper?->count('across') ?? 12],
            $said->node->path,
        );
    }
}
