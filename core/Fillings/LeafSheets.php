<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Leaf;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;

/** The sheets of a leaf, the foremost first: a card open over its panels, the leaf, glass where it has some. docs/formulas.md#leaves */
final readonly class LeafSheets
{
    private function __construct(private Fitted $in, private Leaf $leaf, private ?PaneLayout $layout)
    {
    }

    /**
     * @param  ?PaneLayout  $layout  null where nothing divides it
     * @param  list<Ring>  $panels  in their places
     * @return non-empty-list<Sheet>
     */
    public static function of(Fitted $in, Leaf $leaf, ?PaneLayout $layout, array $panels): array
    {
        return (new self($in, $leaf, $layout))->all($panels);
    }

    /**
     * @param  list<Ring>  $panels
     * @return non-empty-list<Sheet>
     */
    private function all(array $panels): array
    {
        [$in, $leaf] = [$this->in, $this->leaf];
        $lights = $leaf->glazed === null ? [] : $this->layout?->holesOf(1) ?? [];
        $glass = $in->placed($lights);
        $seen = (new LeafMarks($in, $leaf, $this->layout))->all();
        $isDoor = $in->opening->opening->style->kind === OpeningKind::Door;
        $card = $in->card('leaf', 'D', 'leaf', $glass)->with(
            marks: [...$this->boards(), ...$leaf->isFaced() ? [] : $seen], why: $leaf->isFaced() ? self::why($leaf) : '',
        );
        $card = $isDoor ? $card->with(words: 'Door leaf') : $card;
        $face = $leaf->isFaced() ? [$in->card('leaf-face', 'D', self::words($leaf), [...$panels, ...$glass])->with(marks: $seen)] : [];

        $printed = $in->opening->opening->style->glass?->isPrinted() === true ? $this->layout?->casementsOf(1) ?? [] : [];

        return [
            ...$face, $card, ...$glass === [] ? [] : [$in->glass('glazing', GlassPrint::of($in, $printed, []))],
            ...$leaf->hinges === null ? [] : Straps::of($in, $leaf),
        ];
    }

    private static function words(Leaf $leaf): string
    {
        return match ($leaf->kind) {
            Leaf::BRACED => 'leaf, ledges and braces',
            Leaf::LOUVRED => 'leaf, round its louvres',
            default => 'leaf, panels',
        };
    }

    private static function why(Leaf $leaf): string
    {
        return match ($leaf->kind) {
            Leaf::BRACED => 'its ledges and braces stuck on the leaf',
            Leaf::LOUVRED => 'stuck on the leaf round its louvres',
            default => 'its panels stuck on the leaf',
        };
    }

    /** @return list<Mark> joints of planks, or the feet of slats */
    private function boards(): array
    {
        return match ($this->leaf->kind) {
            Leaf::PLANKS, Leaf::BRACED => $this->planks(),
            Leaf::LOUVRED, Leaf::ROLLER => $this->slats(),
            Leaf::PANELLED, Leaf::PLAIN => [],
        };
    }

    /** @return list<Mark> */
    private function planks(): array
    {
        $shape = $this->in->opening->shape;
        $width = $shape->width - 2.0 * FillingParts::CLEARANCE_MM;
        $leaves = $this->leaf->isDouble ? 2 : 1;
        $n = $leaves * max(1, (int) round($width / $leaves / $this->in->building->scale->modelMm($this->leaf->board)));
        $marks = [];
        for ($i = 1; $i < $n; $i++) {
            $x = FillingParts::CLEARANCE_MM + $width * $i / $n;
            $top = $this->solid() ?? $shape->headAt($x, -FillingParts::CLEARANCE_MM);
            $marks[] = new Mark([new Vec2($x, 0.0), new Vec2($x, $top)], 'plank', MarkKind::Plank);
        }

        return $marks;
    }

    /** @return list<Mark> */
    private function slats(): array
    {
        $shape = $this->in->opening->shape;
        [$from, $to] = [FillingParts::CLEARANCE_MM, $shape->width - FillingParts::CLEARANCE_MM];
        // Up to where both ends of a slat are under the head.
        $high = $this->solid() ?? $shape->springing(-FillingParts::CLEARANCE_MM);
        $n = max(1, (int) round($high / $this->in->building->scale->modelMm($this->leaf->board)));
        $marks = [];
        for ($i = 1; $i < $n; $i++) {
            $y = $high * $i / $n;
            $marks[] = new Mark([new Vec2($from, $y), new Vec2($to, $y)], 'slat', MarkKind::Plank);
        }

        return $marks;
    }

    /** How high it is solid, where it is glazed over that. */
    private function solid(): ?float
    {
        $glazed = $this->leaf->glazed;
        $scale = $this->in->building->scale;

        return $glazed === null ? null : $scale->modelMm($glazed->from) - $scale->modelMm($glazed->rail) / 2.0;
    }
}
