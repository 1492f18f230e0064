<?php

declare(strict_types=1);

namespace Tests\Core\Roof;

use Chartula\Core\Derivation;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** Formers and boards under roofs, against figures worked by hand. */
final class SupportsTest extends TestCase
{
    public function testOneFormerUnderARidgeOf100(): void
    {
        $derivation = self::house(100);
        $formers = self::parts($derivation, 'former');
        // ⌈100 / 60⌉ + 1 = 3 places, two of which the gables hold.
        self::assertCount(1, $formers);
        $former = $formers[0];
        self::assertEqualsWithDelta(56.8, $former->width(), 0.0005, '60 − 2 × 1.5 − 0.2');
        self::assertEqualsWithDelta(30.0, $former->height(), 0.0005, 'the ridge: 30 · tan 45°');
        $side = $former->outline->edge('side');
        self::assertEqualsWithDelta(1.6, $former->outline->ring->edgeLength($side), 0.0005, '(1.5 + 0.1) · tan 45°');
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
    }

    public function testBothSlopesRestOnEachFormer(): void
    {
        $derivation = self::house(170);
        $formers = self::parts($derivation, 'former');
        self::assertCount(2, $formers, '⌈170 / 60⌉ = 3 bays');
        foreach ($formers as $former) {
            $seats = array_filter(
                $derivation->kit->joints,
                static fn ($joint): bool => $joint->kind === JointKind::Seat && $joint->a->part === $former->id,
            );
            self::assertCount(2, $seats);
            foreach ($seats as $seat) {
                self::assertEqualsWithDelta(28.4 * M_SQRT2, $seat->contact_mm, 0.0005);
            }
        }
    }

    public function testBoardsUnderHipsAndTheirRidge(): void
    {
        $derivation = self::house(100, 'hip');
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
        // In plan the hip runs 30 · √2 = 42.426, less 1.5 + 0.1 at its top; at its foot both faces clear the corner at 1.6: 1.6 · √2 + 0.5.
        $hips = self::parts($derivation, 'hip-board');
        self::assertCount(4, $hips);
        foreach ($hips as $hip) {
            self::assertEqualsWithDelta(38.0637, $hip->width(), 0.001, '40.8264 − 2.7627');
            self::assertEqualsWithDelta(28.5151, $hip->height(), 0.0005, '40.8264 / √2, less half the thickness / √2');
        }
        $ridges = self::parts($derivation, 'ridge-board');
        self::assertCount(1, $ridges);
        self::assertEqualsWithDelta(36.8, $ridges[0]->width(), 0.0005, '40 − 2 × 1.6');
        self::assertEqualsWithDelta(
            69.5,
            $ridges[0]->placements[0]->point(0.0, $ridges[0]->height())->z,
            0.0005,
            'half a thickness under the ridge at 45°',
        );
    }

    public function testNoneWhereNoneAreAskedFor(): void
    {
        $derivation = Kits::of(Kits::box('170mm', '60mm', '40mm', 45));
        self::assertSame([], [...self::parts($derivation, 'former'), ...self::parts($derivation, 'ridge-board')]);
    }

    private static function house(int $length, string $kind = 'gable'): Derivation
    {
        $document = json_decode(str_replace(
            ['"kind":"gable"', '"methods":{', '"stock":"greyboard-1","role":"core"}],"roof"'],
            [
                '"kind":"'.$kind.'"',
                '"stock":{"board":{"kind":"board","thickness":"1.5mm","sheet":["210mm","297mm"]}},"methods":{"supports":"auto",',
                '"stock":"board","role":"core"}],"roof"',
            ],
            (string) json_encode(Kits::box($length.'mm', '60mm', '40mm', 45)),
        ));
        assert($document instanceof stdClass);

        return Kits::of($document);
    }

    /** @return list<Part> */
    private static function parts(Derivation $derivation, string $kind): array
    {
        return array_values(
            array_map(
                static fn ($p): Part => $p->part,
                array_filter($derivation->kit->parts, static fn ($p): bool => str_contains($p->part->id, ".$kind")),
            ),
        );
    }
}
