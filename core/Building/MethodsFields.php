<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\FlagType;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NodeType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\Option;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\StockType;

/** What is said of how a building is made. Lengths on the model. */
final readonly class MethodsFields
{
    public const MOST_STACKS = 20;

    public static function set(): FieldSet
    {
        $stack = new NodeType(['$ref' => '#/$defs/stack'], 'layers, the outermost first');
        $named = ['type' => 'object', 'additionalProperties' => ['$ref' => '#/$defs/stack'], 'maxProperties' => self::MOST_STACKS];
        $through = ChoiceType::of(['front-and-back' => 'front and back', 'sides' => 'the sides']);

        return new FieldSet(
            'methods',
            Field::required('wall', 'walls', $stack)->offTheForm(),
            Field::required('roof', 'roofs', $stack)->offTheForm(),
            Field::optional('stacks', 'further stacks', new NodeType($named, 'layers by the name of a stack'))->offTheForm(),
            Field::optional('corner', 'corners', self::corners(), CornerMethod::Butt->value)->offTheForm(),
            Field::optional('through', 'run through', $through, 'front-and-back')->offTheForm(),
            Field::optional('base', 'floor', ChoiceType::of(['floor' => 'a floor', 'none' => 'none']), 'floor')->offTheForm(),
            Field::optional('braces', 'braces', ChoiceType::of(['auto' => 'as the card asks', 'none' => 'none']), 'auto')->offTheForm(),
            Field::optional('panels', 'edges of the panels', ChoiceType::of(['square' => 'cut square', 'bevelled' => 'bevelled']), 'square')
                ->saying('where panels meet each other or a wall'),
            Field::optional('thin_edge', 'thin edge at eaves and verges', LengthType::model(Sign::ZeroOrMore), '0mm')
                ->saying('so far do the outermost layer of roofs and its overhang reach beyond the card under it, level; that ends at its walls at the least'),
            Field::optional('supports', 'formers and boards under them', self::supports(), 'none')
                ->saying('spaced as their card asks'),
            Field::optional('bury', 'into the ground', LengthType::model(Sign::ZeroOrMore), '2mm')->offTheForm()
                ->saying('so far do walls go below the ground along them'),
            Field::optional('skin', 'papers', GroupType::folded(self::skin()), (object) [])->offTheForm(),
            Field::optional('template', 'printed sheets', GroupType::folded(self::template()), (object) [])->offTheForm()
                ->saying('how a printed sheet becomes card'),
            Field::optional('trim', 'small parts', GroupType::folded(self::trim()), (object) [])->offTheForm(),
            Field::optional('ridge', 'ridges', GroupType::folded(self::ridge()), (object) ['stock' => 'card-0.25'])->offTheForm(),
        );
    }

    private static function corners(): ChoiceType
    {
        $options = array_map(
            static fn (string $method): Option => new Option($method, $method, null, CornerMethod::tryFrom($method) !== null),
            CornerMethod::known(),
        );

        return ChoiceType::among(...$options);
    }

    private static function supports(): ChoiceType
    {
        return ChoiceType::of(['auto' => 'as the card asks', 'none' => 'none']);
    }

    private static function skin(): FieldSet
    {
        return new FieldSet(
            'skin',
            Field::optional('corner', 'round corners', ChoiceType::of(['overlap' => 'one laps over the other']), 'overlap'),
            Field::optional('overlap', 'lap round the corner', LengthType::model(Sign::ZeroOrMore), '1.8mm'),
            Field::optional('opening', 'at openings', self::inOpenings(), SkinMethod::FOLDED),
            Field::optional('flap', 'flaps into openings', LengthType::model())
                ->saying('as deep as the wall and 1.2 mm more where nothing is said'),
            Field::optional('stock', 'paper', new StockType, 'paper-0.1'),
            Field::optional('brick', 'bricks', new ColourType, '#a65f4a'),
            Field::optional('mortar', 'mortar', new ColourType, '#d5cbb9'),
            Field::optional('soot', 'soot under eaves', NumberType::percent(), 0),
            Field::optional('damp', 'damp at the foot', NumberType::percent(), 0),
            Field::optional('bond', 'bricks beside openings', self::bond(), 'anew')
                ->saying('running through, upright joints stay in line from foot to eaves, and what does not come out in halves is cut under openings'),
            Field::optional('joints', 'joints too fine to print', self::joints(), 'tone')
                ->saying('than to scale, as fine as they can be: two dots of 600 to the inch'),
        );
    }

    private static function inOpenings(): ChoiceType
    {
        return ChoiceType::of([
            SkinMethod::FOLDED => 'turned in', SkinMethod::STRIPS => 'cut, with strips on the sides', SkinMethod::CUT => 'cut',
        ]);
    }

    private static function bond(): ChoiceType
    {
        return ChoiceType::of(['anew' => 'anew at every jamb', 'broken' => 'running through']);
    }

    private static function joints(): ChoiceType
    {
        return ChoiceType::of(['tone' => 'left to tones', 'widened' => 'printed wider']);
    }

    private static function template(): FieldSet
    {
        return new FieldSet(
            'template',
            Field::optional('stock', 'printed on', new StockType, 'label-0.12'),
            Field::optional('side', 'goes on the', ChoiceType::of(['front' => 'front', 'back' => 'back']), 'back'),
            Field::optional('stays', 'stays on', new FlagType, true),
        );
    }

    private static function trim(): FieldSet
    {
        return new FieldSet(
            'trim',
            Field::optional('frame', 'frames', new StockType, 'card-0.5'),
            Field::optional('glazing', 'glass', new StockType, 'acetate-0.2'),
            Field::optional('held', 'what stands in openings', self::held(), 'said')
                ->saying('where its kind says nothing else: in rebates of 1 mm each leans against the layers before it; from behind it is stuck on the back of the wall, or of rings of card there, as many as its reveal is deep; strips lie in the opening behind it'),
        );
    }

    private static function held(): ChoiceType
    {
        return ChoiceType::of([
            'said' => 'is held as its kind says', 'rebates' => 'is held in rebates', 'behind' => 'is held from behind',
            'stops' => 'is held by strips behind it',
        ]);
    }

    private static function ridge(): FieldSet
    {
        return new FieldSet('ridge', Field::required('stock', 'strips of', new StockType));
    }
}
