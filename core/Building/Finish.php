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
    case Render = 'render';
    case Concrete = 'concrete';
    case BoardsHorizontal = 'boards-horizontal';
    case BoardsVertical = 'boards-vertical';
    case Corrugated = 'corrugated';
    case Slate = 'slate';
    case PlainTile = 'plain-tile';
    case Pantile = 'pantile';
    case Lead = 'lead';
    case Felt = 'felt';
    case Bare = 'bare';

    /** The bond in which it is drawn; null where it is no brickwork, or in none that is drawn yet. */
    public function bond(): ?BrickBond
    {
        return match ($this) {
            self::BrickStretcher => BrickBond::Stretcher,
            self::BrickEnglish => BrickBond::English,
            self::BrickFlemish => BrickBond::Flemish,
            default => null,
        };
    }

    /** Whether anything is drawn for it. */
    public function isDrawn(): bool
    {
        return $this->bond() !== null;
    }

    /** @return list<string> as documents may say it */
    public static function known(): array
    {
        return array_column(self::cases(), 'value');
    }

    public static function choice(): ChoiceType
    {
        $option = static fn (self $f): Option => new Option($f->value, strtr($f->value, '-', ' '));

        return ChoiceType::among(...array_map($option, self::cases()));
    }
}
