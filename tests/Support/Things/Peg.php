<?php

declare(strict_types=1);

namespace Tests\Support\Things;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\DressedOpening;
use Chartula\Core\Form\Claims\Dresses;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\SiteFace;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Trim\Makes;
use Chartula\Core\Trim\ThingParts;

/**
 * A kind that only tests know, for one anchor: on walls a square that is printed and raised, everywhere else a square of card over its
 * place.
 */
final readonly class Peg implements Dresses, Makes, Takes
{
    /** How far over its place it is of card, mm: over whatever lies on it. */
    private const OUT_MM = 6.0;

    public function __construct(private Anchor $anchor)
    {
    }

    public function name(): string
    {
        return "peg-{$this->anchor->value}";
    }

    public function title(): string
    {
        return 'Peg '.$this->anchor->words();
    }

    public function says(): string
    {
        return "Of brass, {$this->anchor->words()}.";
    }

    public function picture(): string
    {
        return 'M9 4H15V8H9Z';
    }

    public function anchors(): array
    {
        return [$this->anchor];
    }

    public function fields(): FieldSet
    {
        $width = Field::optional('w', 'width', LengthType::real(), '6in');

        return new FieldSet($this->name(), ...[$width], ...HowMade::fields('2in', HowMade::Both));
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        return null;
    }

    public function claims(Feature $feature, DressedOpening $at): array
    {
        $w = $at->masonry->mm($feature->said->real('w'));

        return [$this->square($feature, new Vec2($at->opening->left, $at->opening->top() + $at->over), $w)];
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        return null;
    }

    public function takes(Feature $feature, Site $site): array
    {
        $w = $site->masonry->mm($feature->said->real('w'));

        return in_array($this->anchor, [Anchor::Wall, Anchor::Corner], true) ? array_map(
            fn (SiteFace $face, int $i): Claim =>
                $this->square($feature, new Vec2(min($face->at->x, $face->length - $w), $face->at->y), $w)->with(face: $i),
            $site->faces,
            array_keys($site->faces),
        ) : [];
    }

    public function made(Site $site, Building $building): PartSet
    {
        if (in_array($this->anchor, [Anchor::Opening, Anchor::Openings, Anchor::Wall, Anchor::Corner], true)) {
            return PartSet::joined([]);
        }
        $stock = $building->methods->frame;
        $w = $site->masonry->mm($site->feature->said->real('w'));
        $ring = Ring::rectangle(0.0, 0.0, $w, $w);

        return new PartSet([Part::of(
            ThingParts::name($site, $building, 'peg'), 'T', 'Peg', PartGroup::Trim, $stock, $stock->thickness_mm,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
            [$site->frame->moved(0.0, 0.0, self::OUT_MM)],
            ['width' => Figure::given($w, 'over all')],
        )], []);
    }

    private function square(Feature $feature, Vec2 $at, float $w): Claim
    {
        $ring = Ring::rectangle($at->x, $at->y, $at->x + $w, $at->y + $w);
        $how = HowMade::from($feature->said->text('as') ?? 'both');

        return new Claim('peg', $feature, $ring, [], new Tone('#c9a227', '#c9a227'), $how, 0.7);
    }
}
