<?php

declare(strict_types=1);

namespace Tests\Support\House;

/** What is known of the houses of HouseGenerator that do not become a kit that goes together: seeds by reason. */
final class Known
{
    /** What cannot be made as it is described, and is refused. */
    public const REFUSED = [
        'an opening comes into what the corner takes, or past the wall’s end' => [
            11, 99, 351, 550,
        ],
        'low relief deeper than the building' => [
            175, 252, 318, 395, 505,
        ],
        'low relief that keeps the front slope and does not reach the ridge' => [
            208, 340, 406, 483,
        ],
        'a wall shorter than its corners take' => [
            474,
        ],
    ];

    /** What could be built in card, does not go together, and says so. */
    public const RED = [
        'a slope that narrows to a neck beside a ridge or a valley: change the width of one arm by a brick' => [
            78,
        ],
        'a dormer under a hip or past a ridge: move it along the eaves by a brick, or lower its roof' => [
            6, 281, 490,
        ],
        'a roof that only just comes past another’s ridge or eaves: raise or lower it by a brick' => [
            81, 141, 335, 423,
        ],
        'a wing that stands out beside its host by no more than its card is thick: move it in or out by a brick' => [
            510,
        ],
    ];
}
