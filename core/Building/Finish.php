<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Option;

/** What a wall or a roof is covered with, as a document may name it. docs/formats.md */
enum Finish: string
{
    case BrickStretcher = 'brick-stretcher';
    case BrickHeader = 'brick-header';
    case BrickEnglish = 'brick-english';
    case BrickFlemish = 'brick-flemish';
    case BrickEnglishGarden = 'brick-english-garden';
    case BrickFlemishGarden = 'brick-flemish-garden';
    case StoneAshlar = 'stone-ashlar';
    case StoneCoursed = 'stone-coursed';
    case StoneRandom = 'stone-random';
    case StoneBrought = 'stone-brought';
    case Render = 'render';
    case Concrete = 'concrete';
    case BoardsHorizontal = 'boards-horizontal';
    case BoardsVertical = 'boards-vertical';
    case BoardAndBatten = 'board-and-batten';
    case Weatherboard = 'weatherboard';
    case Corrugated = 'corrugated';
    case Slate = 'slate';
    case StoneSlate = 'stone-slate';
    case PlainTile = 'plain-tile';
    case Pantile = 'pantile';
    case Lead = 'lead';
    case Zinc = 'zinc';
    case Felt = 'felt';
    case Bare = 'bare';

    /** The bond of its bricks; null where it is of none. */
    public function bond(): ?BrickBond
    {
        return match ($this) {
            self::BrickStretcher => BrickBond::Stretcher,
            self::BrickHeader => BrickBond::Header,
            self::BrickEnglish => BrickBond::English,
            self::BrickFlemish => BrickBond::Flemish,
            self::BrickEnglishGarden => BrickBond::EnglishGarden,
            self::BrickFlemishGarden => BrickBond::FlemishGarden,
            default => null,
        };
    }

    /** Whether anything is drawn for it. */
    public function isDrawn(): bool
    {
        return $this !== self::Bare;
    }

    /** The least pitch of a roof on which it is usually laid, degrees; null where there is none. */
    public function leastPitch(): ?float
    {
        return match ($this) {
            self::Slate => 25.0,
            self::StoneSlate, self::PlainTile => 35.0,
            self::Pantile => 30.0,
            self::Corrugated, self::Felt => 10.0,
            default => null,
        };
    }

    /** The pitch at which it is usually laid, for a roof of which nobody knows it, degrees; null where there is none. */
    public function usualPitch(): ?float
    {
        return match ($this) {
            self::Slate, self::Pantile => 35.0,
            self::StoneSlate, self::PlainTile => 45.0,
            self::Corrugated, self::Felt => 15.0,
            self::Lead, self::Zinc => 5.0,
            default => null,
        };
    }

    /** How far apart its rows may be at the most so that each still laps over the one below, real millimetres; null where nothing laps. */
    public function mostRow(): ?float
    {
        return match ($this) {
            // Half of what a slate of 24 in, or a tile of 10 1/2, has beyond a lap of 2 in.
            self::Slate, self::StoneSlate => 279.4,
            self::PlainTile => 107.95,
            self::Pantile => 292.1,
            default => null,
        };
    }

    /** As it is called in a sentence. */
    public function words(): string
    {
        return match ($this) {
            self::BrickStretcher => 'brick, stretcher bond',
            self::BrickHeader => 'brick, header bond',
            self::BrickEnglish => 'brick, English bond',
            self::BrickFlemish => 'brick, Flemish bond',
            self::BrickEnglishGarden => 'brick, English garden wall bond',
            self::BrickFlemishGarden => 'brick, Flemish garden wall bond',
            self::StoneAshlar => 'ashlar',
            self::StoneCoursed => 'coursed rubble',
            self::StoneRandom => 'random rubble',
            self::StoneBrought => 'rubble brought to courses',
            self::Render => 'render',
            self::Concrete => 'concrete',
            self::BoardsHorizontal => 'boards lying',
            self::BoardsVertical => 'boards standing',
            self::BoardAndBatten => 'boards and battens',
            self::Weatherboard => 'weatherboard',
            self::Corrugated => 'corrugated sheet',
            self::Slate => 'slates',
            self::StoneSlate => 'stone slates',
            self::PlainTile => 'plain tiles',
            self::Pantile => 'pantiles',
            self::Lead => 'lead with rolls',
            self::Zinc => 'zinc with rolls',
            self::Felt => 'felt',
            self::Bare => 'bare card',
        };
    }

    public function isForWalls(): bool
    {
        return ! in_array($this, [self::Lead, self::Zinc, self::Felt, self::StoneSlate], true);
    }

    public function isForRoofs(): bool
    {
        return in_array($this, [
            self::Slate, self::StoneSlate, self::PlainTile, self::Pantile, self::Corrugated, self::Lead, self::Zinc, self::BoardsHorizontal,
            self::BoardsVertical, self::Felt, self::Concrete, self::Bare,
        ], true);
    }

    /** @return list<string> as documents may say it */
    public static function known(): array
    {
        return array_column(self::cases(), 'value');
    }

    /** Of those that cover a part of a wall. */
    public static function forWalls(): ChoiceType
    {
        return self::among(array_filter(self::cases(), static fn (self $f): bool => $f->isDrawn() && $f->isForWalls()));
    }

    public static function choice(): ChoiceType
    {
        return self::among(self::cases());
    }

    /** @param  array<self>  $finishes */
    private static function among(array $finishes): ChoiceType
    {
        $option = static fn (self $f): Option => new Option($f->value, $f->words());

        return ChoiceType::among(...array_map($option, array_values($finishes)));
    }
}
