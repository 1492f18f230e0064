<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;

/** How a roof's slates or tiles go on. */
enum RoofLaid: string
{
    case Paper = 'paper';
    case Strips = 'strips';
    case Pieces = 'pieces';

    /** What is cut. */
    public function words(): string
    {
        return match ($this) {
            self::Paper => 'paper',
            self::Strips => 'strips',
            self::Pieces => 'single pieces',
        };
    }

    public static function choice(): ChoiceType
    {
        return ChoiceType::of(['paper' => 'as one paper', 'strips' => 'in strips, slit', 'pieces' => 'piece by piece']);
    }
}
