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

    /** What could be built in card, and is refused all the same. */
    public const NOT_MADE_YET = [
        'a wing flush with its host, whose overhang has nothing to die into beside it' => [
            59, 70, 103, 125, 158, 180, 224, 257, 301, 312, 334, 356, 389, 411, 466, 477, 499, 543, 587,
        ],
        'a wing taller than its host would come out behind it' => [
            191, 488, 554, 565, 598,
        ],
        'a roof that leaves less card beside a wall’s end than can be cut' => [
            12, 78, 108, 138, 218, 328, 350,
        ],
    ];

    /** What is made and does not go together, and says so. */
    public const RED = [
        'blocks that cross have no inner corner where they meet' => [
            5, 16, 27, 38, 49, 60, 71, 82, 93, 104, 115, 126, 137, 148, 159, 170, 181, 192, 203, 214, 225, 236, 247, 258, 269, 280,
            291, 302, 313, 324, 335, 346, 357, 368, 379, 390, 401, 412, 423, 434, 445, 456, 467, 478, 489, 500, 511, 522, 533, 544,
            555, 566, 577, 588, 599,
        ],
        'a wing level with its host, or higher, or flush: roofs go into each other where they meet' => [
            26, 37, 48, 81, 114, 136, 246, 323, 378, 433, 455, 510, 532, 576,
        ],
        'houses in a row whose roofs differ, or run on over each other' => [
            30, 41, 52, 63, 85, 118, 217, 250, 261, 327, 360, 382, 547, 591,
        ],
        'three to five blocks, with what two of them do' => [
            20, 42, 53, 64, 119, 141, 174, 240, 251, 262, 295, 361, 405, 460, 482, 504, 537, 548, 592,
        ],
        'a dormer by a ridge or a hip, against a strip or past it' => [
            6, 105, 160, 259, 281, 336, 347, 457, 490, 545,
        ],
        'planes that meet in a point over an H, cut square or bevelled' => [
            45, 430, 573,
        ],
        'a deck between parapets, cut to low relief' => [
            263,
        ],
    ];
}
