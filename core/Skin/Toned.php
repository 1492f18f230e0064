<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Part\ToneArt;

/** A finish as its tone alone, with the lines of its courses: where nothing more of it is drawn. docs/formulas.md#chimneys */
final readonly class Toned implements Covering
{
    /** Courses of the real thing, mm: of squared stone and of stone brought to courses, and boards. */
    private const COURSES = ['stone-ashlar' => 304.8, 'stone-coursed' => 228.6, 'boards-horizontal' => 152.4];

    private function __construct(private Tone $tone, private float $course, private float $line)
    {
    }

    public static function of(Finish $finish, Building $building): self
    {
        $masonry = Masonry::of($building);
        $tone = match ($finish) {
            Finish::StoneAshlar, Finish::StoneCoursed, Finish::StoneRandom => new Tone(Tone::STONE, Tone::STONE_JOINT),
            Finish::Render => new Tone(Tone::RENDER, Tone::RENDER),
            Finish::Concrete => new Tone(Tone::CONCRETE, Tone::CONCRETE),
            Finish::BoardsHorizontal, Finish::BoardsVertical => new Tone(Tone::TIMBER, Tone::TIMBER_JOINT),
            Finish::Corrugated, Finish::Lead, Finish::Felt, Finish::Slate => new Tone(Tone::STEEL, Tone::STEEL),
            Finish::PlainTile, Finish::Pantile => new Tone(Tone::TILE, Tone::TILE),
            default => $masonry->brick,
        };
        $course = (self::COURSES[$finish->value] ?? 0.0) / $building->scale->ratio;
        $isBrick = str_starts_with($finish->value, 'brick-');

        return new self($tone, $isBrick ? $masonry->unit : $course, max($masonry->joint, Masonry::LEAST_LINE_MM));
    }

    public function artwork(CoveredFace $face): ToneArt
    {
        return new ToneArt($this->tone, $this->course, $face->datum, $this->line, $face->ends);
    }
}
