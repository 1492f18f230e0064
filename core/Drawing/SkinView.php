<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\OwnPalette;
use Chartula\Core\Building\OwnPaper;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Skin\Coverings;
use Chartula\Core\Skin\FittedPaper;
use Chartula\Core\Skin\PaperUse;
use Chartula\Core\Skin\PaperUses;
use Chartula\Core\Skin\SlopeCourses;

/** What there is to choose from for walls and roofs, and what each roof is covered with. */
final readonly class SkinView
{
    /** From where a layout is looked at where nobody says otherwise. */
    private const USUAL_EYE_MM = 600.0;

    /** @return array<string, mixed> */
    public static function of(Building $building, Kit $kit): array
    {
        $skin = $building->methods->skin;

        return [
            'brick' => $skin->brick, 'mortar' => $skin->mortar,
            'flap' => LengthFormat::millimetres($skin->flap($building->methods->wall()->thickness_mm)),
            'look' => self::look($building),
            'coverings' => array_map(static fn (Finish $f): array => [
                'key' => $f->value, 'words' => $f->words(), 'walls' => $f->isForWalls(), 'roofs' => $f->isForRoofs(),
            ], Finish::cases()),
            'papers' => self::papers($building, $kit),
            'palettes' => array_map(
                static fn (OwnPalette $p): array => [
                    'id' => $p->id, 'name' => $p->name, 'path' => $p->path, 'named' => self::named($building, 'palette', $p->id),
                ],
                array_values($building->palettes),
            ),
            'eye' => $building->plot->eye->distance ?? self::USUAL_EYE_MM,
            'roofs' => array_map(
                static fn (BlockForm $b, int $i): array => self::roof($building, $kit, $b, $i),
                $kit->form->blocks,
                array_keys($kit->form->blocks),
            ),
        ];
    }

    /** All that coverings look by, in one word. */
    private static function look(Building $building): string
    {
        [$gauge, $skin] = [$building->gauge, $building->methods->skin];

        return hash('crc32b', serialize([
            $building->scale->ratio, $gauge->brick_mm, $gauge->course_mm, $gauge->joint_mm,
            $skin->brick, $skin->mortar, $skin->widensJoints, $building->papers, $building->palettes,
        ]));
    }

    /** @return array<string, mixed> */
    private static function roof(Building $building, Kit $kit, BlockForm $form, int $at): array
    {
        $block = $form->block;
        $covering = Coverings::ofRoof($block->roof, $building);
        $slopes = array_values(array_filter($kit->form->facets, static fn (Facet $f): bool => $f->block === $at && $f->patches !== []));
        $isPaper = static fn (LabelledPart $p): bool => $p->part->of->block === $block->id && str_ends_with($p->part->id, '-paper')
            && $p->part->of->feature === null && $p->part->of->layer === 'paper';

        return [
            'block' => $block->id, 'path' => "$block->path.roof.finish", 'finish' => $block->roof->finish->value,
            'usual_pitch' => $block->roof->kind->isPitched() ? $block->roof->finish->usualPitch() : null,
            'words' => $block->roof->finish->words(),
            'papers' => array_map(
                static fn (LabelledPart $p): string => $p->part->id,
                array_values(array_filter($kit->parts, $isPaper)),
            ),
            'rows' => $slopes === [] || $covering === null
                ? null
                : self::rows(SlopeCourses::of(
                    SlopeCourses::alike($slopes[0], $slopes), $covering->pattern, $building->methods->roof()->thickness_mm,
                )),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function papers(Building $building, Kit $kit): array
    {
        $uses = PaperUses::of($building, $kit->form);

        return array_map(static fn (OwnPaper $p): array => self::paper($building, $uses, $p), array_values($building->papers));
    }

    /**
     * @param  list<PaperUse>  $uses
     * @return array<string, mixed>
     */
    private static function paper(Building $building, array $uses, OwnPaper $paper): array
    {
        [$w, $h] = array_map(LengthFormat::millimetres(...), $paper->size());
        $dots = FittedPaper::MM_PER_INCH / max($paper->mmPerPixel);

        return [
            'id' => $paper->id, 'name' => $paper->name, 'path' => $paper->path, 'sha256' => $paper->sha256,
            'size' => sprintf('%s by %s as it was scanned, %d dots an inch', $w, $h, (int) round($dots)),
            'named' => self::named($building, 'paper', $paper->id),
            'uses' => array_map(
                static fn (PaperUse $u): array => ['words' => $u->words, 'printed' => self::printed($u)],
                array_values(array_filter($uses, static fn (PaperUse $u): bool => $u->paper === $paper)),
            ),
        ];
    }

    /**
     * Wherever the document names one.
     *
     * @param  'palette'|'paper'  $key
     * @return list<string>
     */
    private static function named(Building $building, string $key, string $id): array
    {
        $said = [];
        foreach ($building->blocks as $block) {
            $said[$block->roof->path] = $key === 'paper' ? $block->roof->paper : $block->roof->palette;
            foreach ($block->walls as $wall) {
                $said[$wall->path] = $key === 'paper' ? $wall->paper : $wall->palette;
            }
            foreach ($block->features as $thing) {
                $said[$thing->said->path] = $thing->said->text($key);
            }
        }

        return array_map(static fn (string $path): string => "$path.$key", array_keys($said, $id, true));
    }

    /** How it comes out on a face. */
    private static function printed(PaperUse $use): string
    {
        [$across, $up] = array_map(static fn (float $f): string => LengthFormat::trimmed(100.0 * $f, 2).' %', $use->fitted->factors);
        [$unit, $course] = $use->fitted->wanted;
        $said = [$across === $up ? "printed at $up" : "printed at $across across and $up up"];
        if ($course !== null && $use->paper->course_mm !== null) {
            $said[] = sprintf(
                'courses of %s mm where %s mm were measured',
                LengthFormat::trimmed($course, 3), LengthFormat::trimmed($use->paper->course_mm, 3),
            );
        }
        if ($unit !== null && $use->paper->unit_mm !== null) {
            $said[] = sprintf('units of %s mm for %s mm', LengthFormat::trimmed($unit, 3), LengthFormat::trimmed($use->paper->unit_mm, 3));
        }

        return implode(', ', [...$said, sprintf('%d dots an inch', (int) round($use->fitted->dotsPerInch))]);
    }

    private static function rows(SlopeCourses $courses): ?string
    {
        if ($courses->gauge <= 0.0) {
            return null;
        }
        $closer = 100.0 * (1.0 - $courses->pitch() / $courses->gauge);

        return sprintf(
            '%s mm up the longest slope ÷ %s mm, the usual gauge: %d rows of %s mm%s.',
            LengthFormat::trimmed($courses->length, 2), LengthFormat::trimmed($courses->gauge, 3), $courses->count,
            LengthFormat::trimmed($courses->pitch(), 3),
            $closer < 0.05 ? '' : ', '.LengthFormat::trimmed($closer, 1).' % closer than that',
        );
    }
}
