<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Finish;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\Said;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\StockType;

/** What is said of every chimney, wherever it stands: what stands out of it, its cap, its flashing, its flues and pots. */
final readonly class StackFields
{
    private const MOST_COURSES = 40;

    private const MOST_FLUES = 24;

    private const MOST_PANELS = 4;

    private const POTS = ['round', 'tall', 'square', 'louvred'];

    /** @return list<Field> */
    public static function all(): array
    {
        return [...self::courses(), ...self::caps(), ...self::flues()];
    }

    /** @return list<string> which of its figures count from the base of its block */
    public static function heights(Said $said): array
    {
        return $said->text('above') === 'base' ? ['h'] : [];
    }

    /** @return list<Field> of one that stands on a roof */
    public static function plinth(): array
    {
        return [
            Field::optional('plinth', 'plinth, courses', new CountType(0, self::MOST_COURSES), 0)->under('Courses that stand out')
                ->saying('over the highest of the roof beside it'),
            Field::optional('plinth_out', 'plinth, out', LengthType::real(), '2.25in')->under('Courses that stand out'),
        ];
    }

    /** @return list<Field> how its box is made, and of what */
    public static function cards(): array
    {
        $of = ChoiceType::of(['auto' => 'as its size asks', 'box' => 'a box of card', 'solid' => 'layers of card']);

        return array_map(static fn (Field $f): Field => $f->under('How it is made'), [
            Field::optional('of', 'as', $of, 'auto')->saying('layers where a box of its card would leave no room'),
            Field::optional('card', 'card', new StockType)->meaning('the walls’ thickest'),
        ]);
    }

    /** @return list<Field> what stands out of it all round */
    private static function courses(): array
    {
        $count = new CountType(0, self::MOST_COURSES);

        return array_map(static fn (Field $f): Field => $f->under('Courses that stand out'), [
            Field::optional('cornice', 'cornice, high', LengthType::real(Sign::ZeroOrMore), '0in')
                ->saying('under the cap, over all other courses'),
            Field::optional('cornice_out', 'cornice, out', LengthType::real(), '4in'),
            Field::optional('cornice_of', 'cornice of', Finish::choice(), 'stone-ashlar'),
            Field::optional('band', 'band, courses', $count, 0),
            Field::optional('band_down', 'band, down', $count, 6)->saying('courses under the cap'),
            Field::optional('band_out', 'band, out', LengthType::real(), '1in'),
            Field::optional('panels', 'panels on each side', new CountType(0, self::MOST_PANELS), 0)
                ->saying('recessed: what is round them stands out, by half a brick between and beside them, by a course over and under them'),
            Field::optional('panels_high', 'panels, courses', new CountType(3, self::MOST_COURSES), 9)->saying('with what is over and under them'),
            Field::optional('panels_down', 'panels, down', $count, 4)->saying('courses under the cap'),
            Field::optional('panels_in', 'panels, in', LengthType::real(), '1in'),
            Field::optional('oversail', 'oversailing', $count, 2)->saying('courses'),
            Field::optional('oversail_down', 'oversailing, down', $count, 0)->saying('plain courses between them and the cap'),
            Field::optional('oversail_out', 'oversailing, out', LengthType::real(), '1in')->saying('each over the one under it'),
        ]);
    }

    /** @return list<Field> what closes it above, and at the roof */
    private static function caps(): array
    {
        $lead = ChoiceType::of(['lead' => 'lead', 'none' => 'none']);

        return array_map(static fn (Field $f): Field => $f->under('Cap and flashing'), [
            Field::optional('cap', 'cap of', ChoiceType::of(Cap::words()), 'mortar'),
            Field::optional('cap_h', 'cap, high', LengthType::real(), '3in')->saying('as near as its card comes to that'),
            Field::optional('cap_out', 'cap, out', LengthType::real(Sign::ZeroOrMore), '0in')->saying('beyond the stack all round'),
            Field::optional('flashing', 'flashing', $lead, 'lead')->saying('in steps up the slope, with an apron and a back gutter'),
            Field::optional('apron', 'apron', LengthType::real(), '6in')->when('flashing', ['lead'])
                ->saying('up the stack and out onto the slope, on sides along which that is level'),
        ]);
    }

    /** @return list<Field> its flues, and what stands on them */
    private static function flues(): array
    {
        $pots = ChoiceType::of([
            'none' => 'none', 'round' => 'round', 'tall' => 'tall and round', 'square' => 'square', 'louvred' => 'louvred',
        ]);
        $of = ChoiceType::of(['rolled' => 'paper, rolled or folded', 'discs' => 'layers of card', 'rod' => 'paper round a rod']);

        return array_map(static fn (Field $f): Field => $f->under('Flues and pots'), [
            Field::optional('flues', 'flues', new CountType(1, self::MOST_FLUES), 1),
            Field::optional('rows', 'in rows', new CountType(1, 2), 1),
            Field::optional('flue', 'each flue', LengthType::real(), '9in')->saying('with half a brick between them and round them'),
            Field::optional('pots', 'pots', $pots, 'round'),
            Field::optional('pot_w', 'pot, wide', LengthType::real(), '9in')->when('pots', self::POTS),
            Field::optional('pot_h', 'pot, high', LengthType::real())->when('pots', self::POTS)
                ->saying('18 in, louvred 24 in, tall ones 36 in where nothing is said')->meaning('as is usual'),
            Field::optional('open', 'with pots', new CountType(0, self::MOST_FLUES))->when('pots', self::POTS)
                ->saying('the others are capped off with slabs')->meaning('all'),
            Field::optional('pots_as', 'pots of', $of, 'rolled')->when('pots', self::POTS),
        ]);
    }
}
