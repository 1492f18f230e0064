<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\FlagType;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\PairType;
use Chartula\Core\Field\Said;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\TextType;

/** What is said of a kind of opening. */
final readonly class StyleFields
{
    private const FILLED = ['window', 'door'];

    private const MOST_PANES = 50;

    private const MOST_LIGHTS = 12;

    private const MOST_FOILS = 8;

    /** What is said before there were dressings: a sill that stands proud. It is one of them. */
    private const OLDER_SILL = ['as' => 'both', 'of' => 'stone'];

    private const MOST_DRESSINGS = 12;

    public static function set(Kinds $kinds): FieldSet
    {
        return new FieldSet(
            'style',
            Field::optional('name', 'called', new TextType(Style::LONGEST_NAME))->saying('what a person calls the kind'),
            Field::required('kind', 'it is', ChoiceType::of([
                'window' => 'a window', 'door' => 'a door', 'open' => 'open, with nothing in it',
            ])),
            Field::required('w', 'width', LengthType::real())->saying('of the finished structural opening'),
            Field::required('h', 'height to the crown', LengthType::real())->saying('of the finished structural opening, to the crown'),
            Field::optional('head', 'head', GroupType::gathering(self::head()), (object) ['shape' => 'flat']),
            Field::optional('reveal', 'set back by', LengthType::real(Sign::ZeroOrMore), '4 1/2in')
                ->offered('kind', self::FILLED)->saying('from the face to what stands in it'),
            Field::optional('lining', 'its sides are of', Finish::forWalls())->meaning('as the wall')
                ->saying('what the wall’s paper shows where it turns in; what stands round it finishes its own edges'),
            Field::optional('lining_colour', 'in the colour', new ColourType)->meaning('as usual'),
            Field::optional('rebate', 'rebated by', LengthType::real())->when('kind', self::FILLED, 'rebate.nothing-to-hold')
                ->saying('by how much what stands in it reaches behind what it leans against: layers behind the face are cut back by it'),
            Field::optional('held', 'held', self::held())->when('kind', self::FILLED, 'rebate.nothing-to-hold')->meaning('as all are')
                ->saying('what holds that which stands in it'),
            Field::optional('frame', 'frame', GroupType::gathering(self::frame()))->offered('kind', ['window'])
                ->saying('of a door, what makes it a glazed one'),
            Field::optional('leaf', 'leaf', GroupType::gathering(self::leaf()))->offered('kind', ['door'])
                ->saying('of a door that is no glazed one; in a window, what closes it in place of a frame'),
            Field::optional('glass', 'Glass', GroupType::folded(self::glass()))->offered('kind', self::FILLED),
            Field::optional('blind', 'filled up', GroupType::thing(self::blind(), 'with what it is of'))->offered('kind', self::FILLED)
                ->saying('in place of a frame or a leaf: bricked up, boarded up'),
            Field::optional('bought', 'bought', GroupType::thing(self::bought(), 'measured outside'))->offered('kind', self::FILLED)
                ->saying('a fitting that is bought or made by other means, in place of a frame or a leaf: the opening follows from it'),
            Field::optional('dress', 'Round it', self::dressings($kinds))
                ->saying('sills, lintels, arches and whatever else stands round it, each over what the one before it took'),
            Field::optional('sill', 'sill', GroupType::thing(self::sill(), 'stands proud'))->shownWhereSaid()
                ->saying('the same as a `sill` in `dress` that is raised and of stone'),
        );
    }

    public static function dressings(Kinds $kinds): KindListType
    {
        return $kinds->listAt(Anchor::Opening, 'Dressing', self::MOST_DRESSINGS);
    }

    /** The sill of a kind as it was said before: the same thing, said with the same words. */
    public static function older(Fields $sill, Kinds $kinds): ?Feature
    {
        $kind = $kinds->find('sill');

        return $kind === null ? null : new Feature($kind, new Said(self::OLDER_SILL + $sill->values, $sill->node->path));
    }

    public static function frame(): FieldSet
    {
        $panes = new PairType(new CountType(1, self::MOST_PANES), ['panes across', 'panes up']);
        $more = 'More of the frame';

        return new FieldSet(
            'frame',
            Field::optional('panes', 'panes', $panes, [1, 1])->saying('columns and rows, of each light'),
            Field::optional('stile', 'frame, width', LengthType::real(), '2in'),
            Field::optional('bar', 'bars, width', LengthType::real(), '1in'),
            Field::optional('sash', 'a sash', new FlagType, false)->saying('its meeting rail is as wide as its frame'),
            Field::optional('deep', 'its lower half set back', new FlagType, false)
                ->saying('of a sash: a card for each half, one behind the other'),
            Field::optional('raised', 'and pushed up by', LengthType::real(Sign::ZeroOrMore), '0in')
                ->saying('its lower half, behind the upper one'),
            Field::optional('bars', 'bars are', self::bars(), Panes::CUT)->under($more)
                ->saying('what becomes of those that are too fine to be cut'),
            Field::optional('lights', 'lights side by side', new CountType(1, self::MOST_LIGHTS), 1)->under($more)
                ->saying('under one head, with mullions between them'),
            Field::optional('mullion', 'mullions, width', LengthType::real(), '4in')->under($more)->saying('and of a transom'),
            Field::optional('transom', 'transom, up', LengthType::real())->under($more)
                ->saying('to its middle, above the sill; over it each light has one row of panes'),
            Field::optional('riser', 'solid up to', LengthType::real())->under($more)->saying('above the sill, as under a shop’s window'),
            Field::optional('tracery', 'tracery', GroupType::thing(self::tracery(), 'in its head'))->under($more)
                ->saying('a card of its own behind the frame: lights with heads of their own, and circles over their mullions'),
            Field::optional('opens', 'casements', new FlagType, false)->under($more)->saying('each light has a leaf of its own, behind the frame'),
            Field::optional('ajar', 'one of them ajar by', NumberType::degrees(0.0, 90.0), 0)->under($more)
                ->saying('outwards, hung on the side of the nearer jamb'),
            Field::optional('ajar_light', 'which, from the left', new CountType(1, self::MOST_LIGHTS), 1)->under($more),
        );
    }

    public static function held(): ChoiceType
    {
        return ChoiceType::of([
            Holding::Rebate->value => 'in a rebate', Holding::Behind->value => 'from behind',
            Holding::Stops->value => 'by strips behind it', Holding::Glue->value => 'by glue alone',
        ]);
    }

    private static function tracery(): FieldSet
    {
        return new FieldSet(
            'tracery',
            Field::optional('heads', 'heads of its lights', ChoiceType::of(['pointed' => 'pointed', 'round' => 'round']), 'pointed'),
            Field::optional('foils', 'foils of its circles', new CountType(0, self::MOST_FOILS), 4)
                ->saying('0 for plain circles, 3 at the least'),
            Field::optional('bar', 'round them', LengthType::real(), '4in'),
        );
    }

    public static function leaf(): FieldSet
    {
        $kind = ChoiceType::of([
            Leaf::PLANKS => 'planks', Leaf::PANELLED => 'panelled', Leaf::BRACED => 'framed and braced planks', Leaf::LOUVRED => 'louvres',
            Leaf::ROLLER => 'a roller shutter', Leaf::PLAIN => 'plain',
        ]);
        $boards = [Leaf::PLANKS, Leaf::BRACED, Leaf::LOUVRED, Leaf::ROLLER];
        $pair = static fn (string $of): PairType => new PairType(new CountType(1, self::MOST_PANES), ["$of across", "$of up"]);
        $more = 'More of the leaf';

        return new FieldSet(
            'leaf',
            Field::optional('kind', 'leaf of', $kind, Leaf::PLANKS),
            Field::optional('board', 'each plank or slat', LengthType::real(), '6in')->when('kind', $boards)
                ->saying('as near as they come out equal'),
            Field::optional('panels', 'panels', $pair('panels'), [2, 3])->when('kind', [Leaf::PANELLED])
                ->saying('columns and rows, of each leaf'),
            Field::optional('rail', 'stiles and rails', LengthType::real(), '4in')->saying('round panels, fields and glass'),
            Field::optional('double', 'two leaves', new FlagType, false),
            Field::optional('glazed', 'glazed from', LengthType::real())->under($more)
                ->saying('to the middle of the rail under its glass, above the foot'),
            Field::optional('panes', 'panes', $pair('panes'), [1, 1])->under($more)->saying('of that glass, columns and rows of each leaf'),
            Field::optional('bar', 'bars, width', LengthType::real(), '1in')->under($more),
            Field::optional('split', 'stable door, parted at', LengthType::real())->under($more)->saying('above its foot'),
            Field::optional('hinge', 'hangs on the', ChoiceType::of(['left' => 'left', 'right' => 'right']), 'left')->under($more)
                ->saying('as seen from outside, of a single leaf: braces rise from there, and handles are on the other side'),
            Field::optional('handle', 'handle', ChoiceType::of([
                'none' => 'none', 'knob' => 'a knob', 'lever' => 'a lever', 'ring' => 'a ring',
            ]), 'none')->under($more)->saying('on the outside; a door that is never opened from there has none'),
            Field::optional('letters', 'a letter plate', new FlagType, false)->under($more),
            Field::optional('open', 'stands open by', NumberType::degrees(0.0, 90.0), 0)->under($more)
                ->saying('outwards, of a single leaf that is hung'),
            Field::optional('hinges', 'on hinges', GroupType::thing(self::hinges(), 'that turn'))->under($more)
                ->saying('in a frame of its own, with holes for their pins; else it is fixed, however it stands'),
            Field::optional('slides', 'slides before the wall', ChoiceType::of([
                'left' => 'to the left', 'right' => 'to the right', 'apart' => 'in two halves, apart',
            ]))->meaning('not')->under($more),
            Field::optional('slid', 'and is open by', NumberType::percent(), 0)->under($more),
        );
    }

    private static function hinges(): FieldSet
    {
        return new FieldSet(
            'hinges',
            Field::optional('count', 'of each leaf', new CountType(2, 3), 2),
            Field::optional('post', 'frame, width', LengthType::real(), '4in')->saying('their pins are over its middle'),
            Field::optional('pin', 'pins, thick', LengthType::model(), '0.5mm'),
        );
    }

    public static function glass(): FieldSet
    {
        $look = ChoiceType::of([
            Glass::CLEAR => 'clear', Glass::FROSTED => 'frosted', Glass::PAINTED => 'painted out', Glass::CURTAINS => 'with curtains',
            Glass::STAINED => 'stained',
        ]);

        return new FieldSet(
            'glass',
            Field::optional('look', 'it is', $look, Glass::CLEAR),
            Field::optional('colour', 'in the colour', new ColourType)->meaning('as usual'),
            Field::optional('leading', 'leaded', ChoiceType::of(['squares' => 'in squares', 'lozenges' => 'in lozenges']))->meaning('not'),
            Field::optional('across', 'leads apart, across', LengthType::real(), '5in'),
            Field::optional('up', 'leads apart, up', LengthType::real(), '7in'),
        );
    }

    public static function blind(): FieldSet
    {
        return new FieldSet(
            'blind',
            Field::optional('of', 'filled up with', Finish::forWalls())->meaning('as the wall'),
            Field::optional('colour', 'in the colour', new ColourType)->meaning('as usual'),
        );
    }

    public static function bought(): FieldSet
    {
        return new FieldSet(
            'bought',
            Field::required('w', 'it is wide', LengthType::model())->saying('outside'),
            Field::required('h', 'and high', LengthType::model())->saying('outside'),
            Field::required('depth', 'and deep', LengthType::model())->saying('from its front to its back'),
            Field::optional('price', 'price of one', new TextType(20))->saying('such as “0.35”'),
            Field::optional('source', 'bought from', new TextType(60)),
        );
    }

    private static function bars(): ChoiceType
    {
        return ChoiceType::of([
            Panes::CUT => 'cut', Panes::WIDENED => 'cut, and wider where they are too fine', Panes::PRINTED => 'printed on the glass',
            Panes::DROPPED => 'left out',
        ]);
    }

    private static function head(): FieldSet
    {
        return new FieldSet(
            'head',
            Field::required('shape', 'head', HeadShape::choice()),
            Field::optional('rise', 'rise of the head', LengthType::real())
                ->when('shape', [...HeadShape::withRise(), HeadShape::Pointed->value])->beginning('4in')->emptiedBy(HeadShape::Pointed->value)
                ->saying('has to be said but of a pointed one, which is equilateral where it is not: less makes a drop arch, more a lancet'),
        );
    }

    private static function sill(): FieldSet
    {
        return new FieldSet(
            'sill',
            Field::required('h', 'sill, height', LengthType::real()),
            Field::optional('proud', 'sill, proud by', LengthType::real(Sign::ZeroOrMore), '2in'),
            Field::optional('beyond', 'sill, beyond the jambs', LengthType::real(Sign::ZeroOrMore), '3in'),
        );
    }
}
