<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Sides of openings that are of something else than their wall. docs/formulas.md#turning-in */
final class LiningTest extends TestCase
{
    /** Render is one colour: in the jambs of the weigh office's windows it is all that shows, and nowhere else. */
    public function testARenderedRevealShowsRenderAlone(): void
    {
        $derived = Kits::of(self::office(['styles.sash.lining' => 'render', 'styles.sash.lining_colour' => '#fefdf0']));
        self::assertSame([], $derived->dryFit->findings);
        $window = $derived->kit->form->blocks[0]->walls[0]->openings[0];
        $middle = $window->sill + 10.0;
        self::assertSame('#fefdf0', self::colourAt($derived, new Vec2($window->left + 0.4, $middle)));
        self::assertSame('#fefdf0', self::colourAt($derived, new Vec2($window->right() - 0.4, $middle)));
        self::assertNotSame('#fefdf0', self::colourAt($derived, new Vec2($window->left - 0.4, $middle)));
        // The door is of another kind: its sides are as the wall is.
        $door = $derived->kit->form->blocks[0]->walls[0]->openings[2];
        self::assertNotSame('#fefdf0', self::colourAt($derived, new Vec2($door->left + 0.4, $middle)));
    }

    /** Headers in place of a Flemish wall's: their joints come every course, at the wall's own levels. */
    public function testCoursesOfALiningLieOnTheDatum(): void
    {
        $derived = Kits::of(self::office(['styles.sash.lining' => 'brick-header', 'styles.sash.lining_colour' => '#203040']));
        $window = $derived->kit->form->blocks[0]->walls[0]->openings[0];
        $seen = [];
        for ($y = $window->sill + 3.0; $y < $window->sill + 12.0; $y += 0.02) {
            $seen[] = [$y, self::colourAt($derived, new Vec2($window->left + 0.4, $y))];
        }
        // Where one course ends the mortar of its bed begins.
        $ends = [];
        foreach (array_slice($seen, 1) as $i => [$y, $colour]) {
            $ends = $colour === '#d5cbb9' && $seen[$i][1] !== '#d5cbb9' ? [...$ends, $y] : $ends;
        }
        self::assertGreaterThan(6, count($ends));
        foreach ($ends as $y) {
            // Courses of 3 in at 1:76.2 are of 1.000, the bed of 3/8 in, 0.125, on top of each.
            self::assertEqualsWithDelta(0.875, fmod($y, 1.0), 0.03);
        }
    }

    public function testWhereNothingTurnsInThatIsSaid(): void
    {
        $said = static fn (Derivation $d): array => array_values(array_filter(
            $d->checks,
            static fn (Check $c): bool => $c->code === 'lining.none',
        ));
        $lined = ['styles.sash.lining' => 'render'];
        self::assertSame([], $said(Kits::of(self::office($lined))));
        $cut = $said(Kits::of(self::office($lined + ['methods.skin.opening' => 'cut'])));
        self::assertCount(1, $cut);
        self::assertStringContainsString('The sides of sash are said to be of render', $cut[0]->text);
        self::assertCount(1, $said(Kits::of(self::office($lined + ['blocks.0.walls.0.finish' => 'bare']))));
    }

    /** @param  array<string, mixed>  $values */
    private static function office(array $values): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ($values as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }

    /** What is printed last over a place of the front's paper, in the wall's own axes. */
    private static function colourAt(Derivation $derived, Vec2 $at): ?string
    {
        $part = $derived->kit->part('main.front.paper');
        assert($part->part->art !== null);
        $frame = $part->part->placements[0];
        $at = $frame->project($derived->kit->form->blocks[0]->walls[0]->frame->at($at));
        $colour = null;
        foreach (self::paths($derived, $part) as $path) {
            foreach ($path->lines as $line) {
                $colour = (new Ring($line))->contains($at) ? $path->fill : $colour;
            }
        }

        return $colour;
    }

    /** @return list<Path> */
    private static function paths(Derivation $derived, LabelledPart $part): array
    {
        static $known = [];
        $art = $part->part->art;
        assert($art !== null);

        /** @var array<int, list<Path>> $known */
        return $known[spl_object_id($derived)] ??= ArtSymbol::of($part, $art)->paths;
    }
}
