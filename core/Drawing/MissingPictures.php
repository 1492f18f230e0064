<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Form;
use Chartula\Core\Skin\PaperUse;
use Chartula\Core\Skin\PaperUses;

/** What would be printed in one colour, because the picture of a person's own paper is not at hand. */
final readonly class MissingPictures
{
    /** @return list<PaperUse> */
    public static function of(Building $building, Form $form, Pictures $pictures): array
    {
        return array_values(array_filter(
            PaperUses::of($building, $form),
            static fn (PaperUse $use): bool => $pictures->jpeg($use->paper->sha256) === null,
        ));
    }
}
