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
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Trim\Makes;
use Chartula\Core\Trim\ThingParts;

/** A kind that only tests know: square layers of card on each other, through a wall or upright through a roof, from its place on. */
final readonly class Rod implements Makes, Takes
{
    /** @param  float  $thin  by how much it is thinner than what it says that it takes */
    public function __construct(private float $reach = 8.0, private float $thin = 0.0)
    {
    }

    public function name(): string
    {
        return 'rod';
    }

    public function title(): string
    {
        return 'Rod';
    }

    public function says(): string
    {
        return 'Right through.';
    }

    public function picture(): string
    {
        return 'M9 4H15V8H9Z';
    }

    public function anchors(): array
    {
        return [Anchor::Wall, Anchor::Slope, Anchor::RoofLine];
    }

    public function fields(): FieldSet
    {
        return new FieldSet('rod', Field::optional('w', 'width', LengthType::real(), '18in'));
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        return null;
    }

    public function takes(Feature $feature, Site $site): array
    {
        $w = $site->masonry->mm($feature->said->real('w'));
        $at = $site->faces[0]->at ?? null;
        $origin = $site->frame->origin;

        return [$at === null
            ? Claim::upright('rod', $feature, Ring::rectangle(
                $origin->x - $w / 2.0, $origin->y - $w / 2.0, $origin->x + $w / 2.0, $origin->y + $w / 2.0,
            ))
            : Claim::through('rod', $feature, Ring::rectangle($at->x, $at->y, $at->x + $w, $at->y + $w))];
    }

    public function made(Site $site, Building $building): PartSet
    {
        $stock = $building->methods->wall()->layers[0]->stock;
        $w = $site->masonry->mm($site->feature->said->real('w'));
        [$off, $side] = [$this->thin / 2.0, $w - $this->thin];
        $origin = $site->frame->origin;
        // Layers lie on each other along the way on which it goes through.
        $frame = $site->isOnSlope
            ? new Frame(
                new Vec3($origin->x - $w / 2.0, $origin->y - $w / 2.0, $origin->z),
                new Vec3(1.0, 0.0, 0.0),
                new Vec3(0.0, 1.0, 0.0),
            )
            : $site->frame;
        $count = (int) ceil(2.0 * $this->reach / $stock->thickness_mm);
        $ring = new Ring(array_map(
            static fn (Vec2 $p): Vec2 => $p->plus(new Vec2($off, $off)),
            Ring::rectangle(0.0, 0.0, $side, $side)->points,
        ));

        return new PartSet([Part::of(
            ThingParts::name($site, $building, 'rod'), 'T', 'Rod', PartGroup::Trim, $stock, $stock->thickness_mm,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
            array_map(fn (int $k): Frame => $frame->moved(0.0, 0.0, $k * $stock->thickness_mm - $this->reach), range(1, $count)),
            ['width' => Figure::given($side, 'over all')],
        )], []);
    }
}
