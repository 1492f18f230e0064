<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\DigestType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\IdType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\PairType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\TextType;

/** What is said of one of the `papers`. Lengths are those of the paper as it lies on the table. */
final readonly class OwnPaperFields
{
    public const MOST_PIXELS = 20_000;

    /** A pixel of a centimetre is a mosaic, and no picture. */
    private const MOST_MM_PER_PIXEL = 10.0;

    private const LONGEST_LICENCE = 300;

    /** So many are measured together: over fewer, half a millimetre is a whole course in the end. */
    private const MOST_MEASURED = 1000;

    public static function set(): FieldSet
    {
        $pixels = new PairType(new CountType(1, self::MOST_PIXELS), ['pixels across', 'pixels up']);
        $size = new PairType(
            NumberType::above(0.0, self::MOST_MM_PER_PIXEL, 'mm a pixel'),
            ['a pixel across', 'a pixel up'],
        );
        $measured = new CountType(1, self::MOST_MEASURED);

        return new FieldSet(
            'paper',
            Field::required('id', 'id', new IdType),
            Field::required('name', 'called', new TextType(OwnPaper::LONGEST_NAME)),
            Field::required('sha256', 'file', new DigestType)->offTheForm()->saying('of the picture’s file, a JPEG'),
            Field::required('pixels', 'pixels', $pixels)->offTheForm(),
            Field::required('mm_per_pixel', 'mm a pixel', $size)->saying('of the paper as it was scanned'),
            Field::optional('lies', 'it is laid', ChoiceType::of(['tiled' => 'again and again', 'whole' => 'once']), 'tiled'),
            Field::optional('courses', 'courses counted', $measured, 20),
            Field::optional('up', 'those courses measure', LengthType::model())->meaning('as scanned')
                ->saying('together, on the paper'),
            Field::optional('units', 'bricks counted', $measured, 10)->saying('along a course'),
            Field::optional('along', 'those bricks measure', LengthType::model())->meaning('alike')
                ->saying('together, on the paper'),
            Field::optional('foot', 'first bed joint above its foot', LengthType::model(Sign::ZeroOrMore), '0mm')
                ->saying('how far above the picture’s foot a course begins, on the paper'),
            Field::optional('tone', 'all in all', new ColourType, '#8a7a6a')->offTheForm()->saying('all of it as one colour'),
            Field::optional('licence', 'licence', new TextType(self::LONGEST_LICENCE))
                ->saying('your own photograph, or whose leave you have'),
        );
    }
}
