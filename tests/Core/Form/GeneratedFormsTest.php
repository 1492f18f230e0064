<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\FormGenerator;
use Tests\Support\Property;
use Tests\Support\Sample;

/** What must hold of every form, over a thousand of them in seven classes. */
final class GeneratedFormsTest extends TestCase
{
    private const FORMS = 1050;

    private const A_QUICK_RUN = 245;

    #[Group('property')]
    public function testRoofsAreClosedPlaneAndTheirAreasAddUp(): void
    {
        $made = array_fill_keys(FormGenerator::CLASSES, 0);
        $forms = self::forms(Sample::isDeep() ? self::FORMS : self::A_QUICK_RUN);
        Property::holds($forms, function (stdClass $document) use (&$made): ?string {
            $form = self::form($document);
            if ($form === null) {
                return null;
            }
            $seed = (int) substr(is_string($document->name) ? $document->name : '', 5);
            $made[FormGenerator::CLASSES[$seed % count(FormGenerator::CLASSES)]]++;

            return self::sidesThatDoNotMeet($form) ?? self::areasThatDoNotAddUp($form) ?? self::placesNotSeenOnce($form, $seed);
        });
        foreach ($made as $class => $count) {
            self::assertGreaterThanOrEqual(20, $count, "of the class $class");
        }
    }

    /** @return iterable<int, stdClass> by seed */
    private static function forms(int $last): iterable
    {
        for ($seed = 1; $seed <= $last; $seed++) {
            yield $seed => (new FormGenerator($seed))->document();
        }
    }

    #[Group('property')]
    public function testTurnedMovedAndMirroredFormsHaveCongruentPanels(): void
    {
        $bad = [];
        $several = 0;
        foreach (self::forms(Sample::isDeep() ? 210 : 84) as $seed => $document) {
            $form = self::form($document);
            if ($form === null) {
                continue;
            }
            $several += count($form->blocks) > 1 ? 1 : 0;
            // Blocks that stand by relation are turned alike, and go where the first goes.
            $turned = BuildingGenerator::with($document, 'blocks.0.at', ['-17ft', '3.21m']);
            foreach ($form->blocks as $b => $block) {
                $turned = BuildingGenerator::with($turned, "blocks.$b.turn", $block->block->turnDeg + 61.25);
            }
            $other = self::form($turned);
            if ($other === null || self::measures($form) !== self::measures($other)) {
                $bad[] = "$seed turned";
            }
            $mirrored = count($form->blocks) > 1 ? self::leftForRight($document) : self::mirrored($document);
            $other = $mirrored === null ? $form : self::form($mirrored);
            if ($other === null || self::measures($form, false) !== self::measures($other, false)) {
                $bad[] = "$seed mirrored";
            }
        }
        self::assertSame([], $bad);
        self::assertGreaterThan(Sample::isDeep() ? 60 : 24, $several);
    }

    public function testTwiceTheScaleIsTwiceTheLengths(): void
    {
        foreach ([1, 8, 15, 22] as $seed) {
            // Sizes of the prototype, at one scale and at half of it.
            $document = json_decode(str_replace('mm model', 'cm', (string) json_encode((new FormGenerator($seed))->document())));
            self::assertInstanceOf(stdClass::class, $document);
            $one = self::form(BuildingGenerator::with($document, 'scale', '1:10'));
            $half = self::form(BuildingGenerator::with($document, 'scale', '1:20'));
            self::assertNotNull($one);
            self::assertNotNull($half);
            foreach ($one->facets as $i => $facet) {
                self::assertEqualsWithDelta(array_sum(self::areas($facet)), 4.0 * array_sum(self::areas($half->facets[$i])), 0.001);
            }
        }
    }

    /** Butted and square, mitred and square, mitred and bevelled, with and without supports in turn. */
    #[DataProvider('provideClasses')]
    #[Group('property')]
    public function testTheirCardGoesTogether(string $class): void
    {
        $made = 0;
        Property::holds(self::cards($class), function (stdClass $document) use (&$made): ?string {
            try {
                $derived = Derivation::of(BuildingReader::fromDocument($document), '');
            } catch (InvalidInput $e) {
                return $e->problems[0]->text() === '' ? 'a fault without words' : null;
            }
            $made++;

            return $derived->dryFit->findings[0]->text ?? null;
        });
        self::assertGreaterThanOrEqual(Sample::isDeep() ? 200 : 9, $made);
    }

    /** @return iterable<int, stdClass> by seed */
    private static function cards(string $class): iterable
    {
        foreach (self::forms(Sample::isDeep() ? 2100 : 84) as $seed => $document) {
            if (FormGenerator::CLASSES[$seed % count(FormGenerator::CLASSES)] === $class) {
                $document = BuildingGenerator::with($document, 'methods.corner', $seed % 3 === 0 ? 'butt' : 'mitre');
                $document = BuildingGenerator::with($document, 'methods.panels', $seed % 3 === 2 ? 'bevelled' : 'square');
                yield $seed => BuildingGenerator::with($document, 'methods.supports', $seed % 2 === 0 ? 'auto' : 'none');
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function provideClasses(): iterable
    {
        foreach (FormGenerator::CLASSES as $class) {
            yield $class => [$class];
        }
    }

    private static function form(stdClass $document): ?Form
    {
        $problems = new Problems;
        try {
            $form = Surfaces::of(BuildingReader::fromDocument($document), $problems);
            $problems->throwIfAny();

            return $form;
        } catch (InvalidInput) {
            return null;
        }
    }

    /** Every side between two planes lies in both of them. */
    private static function sidesThatDoNotMeet(Form $form): ?string
    {
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    if (Side::isOfKind($line->label, SideKind::Plane)) {
                        $other = $form->plane(Side::of($line->label)->planeOrFail());
                        $off = max(
                            abs($facet->heightAt($line->from) - $other->heightAt($line->from)),
                            abs($facet->heightAt($line->to) - $other->heightAt($line->to)),
                        );
                        if ($off > 0.001) {
                            return "$facet->name and $other->name part by $off";
                        }
                    }
                }
            }
        }

        return null;
    }

    /** The planes of one block cover its outline with the overhang, once. */
    private static function areasThatDoNotAddUp(Form $form): ?string
    {
        foreach ($form->blocks as $block) {
            $sum = array_sum(array_map(static fn (Facet $f): float => $f->whole->area(), $block->roof->facets));
            $whole = $block->roof->outline?->area() ?? 0.0;
            if (abs($sum - $whole) > 0.01) {
                return "{$block->block->id}: planes of $sum over $whole";
            }
        }

        return null;
    }

    /** Over a place inside the blocks the highest roof is seen, and no lower one. */
    private static function placesNotSeenOnce(Form $form, int $seed): ?string
    {
        $randomizer = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        foreach ($form->blocks as $block) {
            $box = $block->ring->bounds();
            for ($k = 0; $k < 12; $k++) {
                $at = new Vec2(
                    $box->x0 + $box->width() * $randomizer->getInt(1, 9999) / 10000.0,
                    $box->y0 + $box->height() * $randomizer->getInt(1, 9999) / 10000.0,
                );
                if (! $block->ring->contains($at) || $block->roof->facets === []) {
                    continue;
                }
                $top = -INF;
                $near = INF;
                foreach ($form->blocks as $other) {
                    if ($other->ring->contains($at) || ($other->ring->distanceTo($at) < 4.0)) {
                        $near = $other->index === $block->index ? $near : min($near, $other->ring->distanceTo($at));
                        $top = $other->ring->contains($at) ? max($top, $other->roof->heightAt($at) ?? $other->eaves) : $top;
                    }
                }
                $seen = array_values(
                    array_filter(
                        $form->facets,
                        static fn (Facet $f): bool =>
                            array_filter($f->patches, static fn (Patch $p): bool => $p->region()->contains($at)) !== [],
                    ),
                );
                $highest = $seen === [] ? -INF : max(array_map(static fn (Facet $f): float => $f->heightAt($at), $seen));
                // Beside another block its walls stand, and its overhang or a roof that runs on may lie above.
                if ($near > 4.0 && $highest < $top - 0.001 && $form->solids[$block->index]->hasParapet === false) {
                    return "at $at->x, $at->y the roof is $highest, not $top";
                }
            }
        }

        return null;
    }

    /** @return list<float> */
    private static function areas(Facet $facet): array
    {
        return array_map(static fn (Patch $p): float => $p->area(), $facet->patches);
    }

    /** @return list<string> sizes of the planes, sorted */
    private static function measures(Form $form, bool $withNames = true): array
    {
        $measures = array_map(
            static fn (Facet $f): string =>
                ($withNames ? $f->name.' ' : '').number_format(abs(round(array_sum(self::areas($f)) / $f->pitch->cos(), 2)), 2, '.', ''),
            $form->facets,
        );
        sort($measures);

        return $measures;
    }

    /** Left for right: corners the other way round, so that edge i becomes edge n − 2 − i. */
    private static function mirrored(stdClass $document): ?stdClass
    {
        $blocks = $document->blocks ?? null;
        $footprint = is_array($blocks) && $blocks[0] instanceof stdClass ? $blocks[0]->footprint ?? null : null;
        if (! $footprint instanceof stdClass || ! is_array($footprint->polygon ?? null)) {
            return null;
        }
        $corners = array_reverse(
            array_map(
                static fn (mixed $c): array =>
                    is_array($c) && is_string($c[0]) ? [str_starts_with($c[0], '-') ? substr($c[0], 1) : '-'.$c[0], $c[1]] : [],
                $footprint->polygon,
            ),
        );

        return BuildingGenerator::with($document, 'blocks.0.footprint.polygon', $corners);
    }

    /** The same of several rectangles: what is left is called right, and what is centred a little off goes off the other way. */
    private static function leftForRight(stdClass $document): stdClass
    {
        $text = strtr((string) json_encode($document), ['left"' => 'right"', 'right"' => 'left"']);
        $text = (string) preg_replace('/("centre":"(?:front|back)","with":"[^"]*","by":")(-?)/', '$1-$2', $text);
        $mirrored = json_decode(str_replace('"by":"--', '"by":"', $text));
        assert($mirrored instanceof stdClass);

        return $mirrored;
    }
}
