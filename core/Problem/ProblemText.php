<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

use LogicException;

/** The sentence of every problem: what is wrong and what would be right. The only place where faults are worded. */
final readonly class ProblemText
{
    private const TEXTS = [
        // the text itself
        'json.syntax' => 'this is not JSON: {message}',
        'json.duplicate' => 'the key “{key}” stands twice; keep one',
        'json.too-deep' => 'lists and objects are nested deeper than {limit}; a building needs fewer than ten levels',
        'json.too-long' => 'the text has {given} bytes; the limit is {limit}',
        'json.encoding' => 'the text is not UTF-8; save it as UTF-8',
        // shapes
        'missing' => 'this is required',
        'unknown-key' => '“{key}” is not a key here; known are {known}',
        'wrong-type' => 'this is {given}; it must be {wanted}',
        'wrong-choice' => '“{given}” is not one of {known}',
        'wrong-value' => 'this is “{given}”; it must be “{wanted}”',
        'text-too-long' => 'the text has {given} characters; the limit is {limit}',
        'text-empty' => 'the text is empty; give it a name',
        'number-out-of-range' => '{given} is out of range; it must be {wanted}',
        'too-many' => 'there are {given}; the limit is {limit}',
        'too-few' => 'there are {given}; at least {limit} are needed',
        'id-shape' => '“{given}” is no id; use 1 to 32 of a–z, 0–9 and hyphens',
        'id-twice' => 'the id “{given}” is used twice in this list; change one',
        // lengths
        'length.no-unit' => '“{given}” has no unit; write for example {example}',
        'length.not-understood' => '“{given}” is not a length; write for example {example}',
        'length.inches' => '“{given}” has {inches} inches after feet; inches after feet are under 12',
        'length.zero-denominator' => '“{given}” divides by zero',
        'length.negative' => '“{given}” is negative; it must be above 0',
        'length.not-above-zero' => '“{given}” is not above 0; it must be',
        'length.too-long' => '“{given}” is {metres} m in reality; the limit is 1000 m',
        'length.too-short' => '“{given}” is under the least that can be used here, {least}',
        'scale.not-understood' => '“{given}” is not a scale; write for example “1:76.2”',
        'scale.out-of-range' => '“{given}” is out of range; a scale lies between 1:1 and 1:1000',
        // references
        'unknown-stock' => 'there is no stock “{given}”; known are {known}',
        'unknown-style' => 'there is no style “{given}”; known are {known}',
        'unknown-stack' => 'there is no stack “{given}”; known are {known}',
        'unknown-edge' => 'there is no edge “{given}”; known are {known}',
        'edge-twice' => 'the edge “{given}” is described twice; keep one',
        'corner.unlike-layers' => 'a mitre wants both walls of the same layers; {wall} has {layers} mm, {other} {others} mm: give both one stack, or make the corner “butt”',
        'opening.below-ground' => 'the ground along the wall stands {over|real} above the opening’s sill; raise the sill or lower the ground there',
        'plinth.off-wall' => 'the plinth’s top, {given}, must lie between the base, {base}, and the eaves, {eaves}',
        'not-made-yet' => '“{given}” cannot be made yet; {instead}',
        'thing.not-its-own' => 'what stands there is not placed so; take it out, or say another anchor',
        'thing.no-thing' => 'there is no other thing “{given}” in this list for it to stand on',
        'thing.circle' => 'it stands on “{given}”, which stands on it in the end; let one of them stand on the building',
        'thing.no-opening' => 'there is no opening “{given}” in that wall; known are {known}',
        'thing.ends-before' => 'it begins at {from} and would end at {given}; it must end farther on',
        'thing.past-wall' => '{given} lies past the end of the wall, which is {length} long',
        'chimney.off-roof' => 'this {what} has no roof under some of it; move it in, or make it smaller',
        'chimney.off-wall' => 'the middle of this {what} lies beyond the wall, where nothing carries it; move it in',
        'chimney.in-valley' => 'this {what} would stand in a valley, where water runs against it; move it up or aside',
        'chimney.too-low' => 'this {what} ends below the roof beside it; make it higher',
        'chimney.solid-on-slope' => 'layers of card cannot be cut to a slope; make this {what} a box, or take it through a hole',
        'chimney.solid-over-wall' => 'layers of card cannot go down over a wall; make this {what} a box, or move it off the wall',
        'chimney.peg-over-wall' => 'the peg of this {what} would go down into a wall, or has no depth under the roof; take it through a hole, or notch it',
        'chimney.sliver' => 'the hole for this {what} leaves a strip of the slope beside it that is too thin to cut; move it away from that edge, or over it',
        'chimney.flues' => 'the flues of this {what} have no room in it with half a brick round them; make it larger, or have fewer or smaller ones',
        'chimney.pot-too-wide' => 'the pots of this {what} are wider than their flues; make them narrower, or the flues wider',
        'chimney.courses' => 'courses that stand out of this {what} come in each other’s way, or in the roof’s; move or leave out some, or make it higher',
        'chimney.line' => 'this {what} stands on a ridge, or at a place of a slope; no other line of a roof carries one',
        'chimney.panels' => 'the panels of this {what} are too small to be cut out; have fewer or higher ones, or make it larger',
        'chimney.against-wall' => 'what stands out of this {what} all round would come into the wall behind it; make it higher than that, or leave it out',
        'chimney.past-wall' => 'this {what} runs past the end of its wall; move it in, or make its breast and its set-offs narrower',
        'chimney.shoulders-low' => 'the shoulders of this {what} begin at its foot; let them begin higher up',
        'chimney.shoulders-high' => 'the breast of this {what} comes into the roof, or past the wall’s top; let its shoulders begin lower, or be lower',
        'chimney.shoulders-flat' => 'a shoulder of this {what} rises by less than half of what it goes in, or goes in by next to nothing; make it steeper, or the breast as wide as the stack',
        'chimney.set-offs' => 'the set-offs of this {what} come in each other’s way, under its foot, or up to its shoulders or the roof; have fewer, or move them',
        'chimney.breast-over-opening' => 'this {what} would stand before an opening of its wall; move one of them, or make the breast narrower',
        'thing.blocked' => 'another wall, block or roof stands where this {what} would be; move it',
        'chimney.too-thin' => 'this {what} is too thin for a box of its card; make it of layers, or of thinner card',
        'thing.in-the-way' => 'this {what} would stand where another {other} stands; move one of them',
        'thing.no-plot' => 'there is no plot for it to stand on; describe the plot first',
        'thing.no-track' => 'there is no track “{given}” on the plot',
        'head.rise-too-great' => 'a rise of {rise} over a width of {width} is more than a half circle; it must be under {limit}',
        'head.above-height' => 'the rise of {rise} leaves no upright jamb in a height of {height}; it must be less',
        'both-pitch-and-rise' => 'pitch and rise are both given; keep one',
        'frame.no-room' => 'stiles of {stile} and bars of {bar} leave no glass in a frame {width} wide and {height} high (model mm); use fewer panes or thinner members',
        'colour' => '“{given}” is not a colour; write it as #rrggbb',
        'date' => '“{given}” is no day; write it as 2026-11-30',
        // as built
        'built.no-reason' => 'say in a word or two why it is not as planned',
        'built.far' => 'measured {given} mm where the plan gives {plan} mm, and up to {most} mm are taken for a slip of the knife; measure again, or change the plan',
        'built.contradicts' => 'measured {given} mm, but {other}, measured {others} mm, makes it {plan} mm; measure both again and keep one',
        'built.no-room' => 'measured {given} mm where the plan gives {plan} mm: no blank stretch beside the openings gives or takes that; measure again, or change the plan',
        'built.no-rise' => 'measured {given} mm where the plan gives {plan} mm: so low nothing would rise over the eaves; measure again, or change the plan',
        'built.no-reach' => 'measured {given} mm where the plan gives {plan} mm: such a panel would end within its walls; measure again, or change the plan',
        'built.cut' => 'measured {given} mm where it has {plan} mm before anything is cut off: what low relief or perspective leaves of it is said there; change how much that is',
        'built.gone' => 'measured {given} mm, but low relief, perspective or another block leaves nothing of it; take the figure out',
        'built.no-apex' => 'there is no gable over this wall; measure its height, or the roof’s panel',
        'built.no-up' => 'no single panel rises from this edge to a ridge; measure the walls below it',
        'built.no-along' => 'no gable ends this panel between square corners, so that its walls say how long it is; measure those',
        'built.not-taken' => 'measured {given} mm, but what the plan does to it afterwards (low relief, perspective, or another block) leaves {plan} mm; take the figure out',
        'template.far' => 'a template is corrected by {most} mm at the most, not by {given} mm; change the plan, or say what was built',
        'template.twice' => 'this side of that part is corrected already; keep one',
        // compression
        'compress.no-block' => 'there is no block “{given}” here any more; known are {known}',
        'compress.last-block' => '“{given}” is the last block; a building without blocks is none',
        'compress.protected' => 'a factor makes {kept} smaller too, and those are protected; take them out of protect, or choose another step',
        'text.nul' => 'this text has a character in it that stands for nothing (NUL); leave it out',
        'number.infinite' => 'this number is beyond all that can be reckoned with',
        'core.broken' => 'the program broke on this. What you wrote is kept; take the last change back, or change something else. It has been noted down with the text',
        'compress.no-keep' => 'there is nothing “{given}” here to keep; write a block, block.edge or block.edge.opening',
        'compress.kept' => 'this would change {kept}, which is to stay as it is; take it out of what is kept, or leave this step out',
        'compress.no-storey' => 'there is no storey “{given}” in this block; known are {known}',
        'compress.storey' => 'the storey “{storey}” of {block} cannot go: a door stands in it, an opening reaches out of it, or nothing would be left',
        'compress.courses' => '{block} has only {most} courses to give, openings and three courses beside each kept; {given} are too many',
        'compress.skew' => '“{edge}” runs along neither side of the building; shorten a wall that does',
        'compress.bays' => 'no {given} bays can go from “{edge}”: a row keeps three, and nothing opposite may be cut in two',
        'compress.too-much' => '{what} of “{edge}” can give {most|real} at the most, not {given|real}: a brick and a half stays, and three quarters of a pier',
        'mouth.no-opening' => 'there is no opening “{given}” in a wall that is built; write block.edge.opening',
        'mouth.shut' => 'what stands in “{given}” hides its inside; make its style “open”',
        'mouth.twice' => 'the inside of “{given}” is given twice; take one of them out',
        'mouth.recedes' => '“{given}” is in a wall that recedes itself; take its block out of perspective.blocks',
        'mouth.faces-away' => 'the wall of “{given}” looks away from the eye; nobody sees into it',
        'mouth.axis' => 'the eye’s axis, {given} mm above the opening’s foot, must lie between its floor, {least} mm, and its head, {most} mm',
        'mouth.no-room' => 'at {given} mm the end of the inside stands outside {block}; make it less deep',
        'perspective.no-eye' => 'nobody says from where it is looked at; give plot.eye its distance and height',
        'perspective.eye-behind' => 'the eye stands {by} mm behind the front of what is to recede; move the plot, or the eye further away',
        'perspective.too-near' => 'the roof of {block} runs on to where the eye is; let its edges be gables, or take the block out of blocks',
        'perspective.no-block' => 'there is no block “{given}” here; known are {known}',
        'perspective.raised' => '{block} stands neither on the ground nor, as a dormer does, on a sloping roof that recedes; take it out of perspective.blocks, or what it stands on into them',
        'perspective.axis-low' => 'the eye’s axis lies under the foot of {block}; raise perspective.axis',
        'perspective.no-roof' => 'walls without a roof or above one cannot recede yet; give {block} another roof, or take it out of perspective.blocks',
        'perspective.no-deeper' => 'an apparent depth of {apparent} mm is no more than the true {depth}; make it more',
        // low relief
        'relief.deeper' => 'the building is only {whole} mm deep on the model; a depth of {given} mm cuts nothing off: take it out, or make it less',
        'relief.shallow' => 'a depth of {given} mm leaves no room behind the front’s card; at least {least} mm are needed',
        'relief.no-ridge' => 'a depth of {given} mm does not reach the ridge, {least} mm behind the front, and fails by {short} mm; make it deeper, or choose slice or keep-ridge',
        'relief.through' => 'the cut at {given} mm runs through {block}, which stands on a roof; cut in front of it, at {before} mm or less, or behind it, from {behind} mm on',
        // plots
        'plot.both' => 'size and outline are both given; keep one',
        'plot.size-or-outline' => 'give either its size or its outline',
        'plot.size-or-across' => 'give either its size, or how far across it is where it is round',
        'plot.upside-down' => 'its top at {to} mm lies no higher than its foot at {from} mm',
        'unknown-vehicle' => 'there is no vehicle “{given}”; known are {known}',
        'vehicle.centres' => 'bogies or axles {given} mm apart do not stand under a body {length} mm long; they must be less',
        'track.piece' => 'a piece of track is one of straight, left and right; curves have degrees beside their radius',
        'track.radius' => 'a radius of {given} mm is too tight for {vehicle}, whose bogies or axles are {centres} mm apart; take a greater one, or leave it out of this track’s vehicles',
        // footprints and places
        'footprint.both' => 'rect and polygon are both given; keep one',
        'footprint.rect-edges' => 'the edges of a rect are front, right, back and left; give names only to a polygon',
        'footprint.names' => 'there are {given} names for {wanted} edges; name every edge or none',
        'footprint.repeated' => 'corner {one} and corner {other} are the same point; take one out',
        'footprint.crossing' => 'the edges “{one}” and “{other}” cross or touch; the outline must not meet itself',
        'footprint.clockwise' => 'the corners run clockwise; they must run counter-clockwise seen from above. Turn them round',
        'footprint.sharp' => 'the corner {corner} has {given}°; card can be joined from 15° to 345°',
        'footprint.level' => 'corner {corner} lies on a straight line between walls with different roofs; use one pitch and one kind on both, or move the corner',
        'blocks.point' => '“{one}” and “{other}” touch in a single corner, where nothing can be stuck; let them share a stretch of wall, or part them',
        'place.and-at' => 'at and place are both given; keep one',
        'place.one-relation' => 'exactly one of {known} is needed here',
        'place.not-parallel' => '“{one}” does not run the same way as “{other}”; turn the block, or choose another edge',
        'place.not-facing' => '“{one}” does not face “{other}”; choose the edge across, or turn the block',
        'place.no-block' => 'there is no “{given}” to stand by; write block.edge, known blocks are {known}',
        'place.circle' => '“{one}” is placed by “{other}”, which is placed by “{one}” in turn; give one of them at',
        'place.contradiction' => 'this contradicts the other relations by {off} mm; take one of them out',
        'place.loose' => 'nothing says where the block stands {way}; add a relation for that',
        // wholes
        'opening.past-end' => 'the opening ends {over|real} past the wall’s end; the wall is {length|real} long',
        'opening.in-corner' => 'the opening comes within {left|model} of the wall’s end, where the neighbouring wall’s card of {thickness|model} stands (model); keep {thickness|model} clear',
        'opening.sill-thin' => 'the sill leaves less than {least|model} of the wall under it on the model, which cannot be cut; make it 0, or higher',
        'opening.head-thin' => 'the head leaves less than {least|model} of the wall over it on the model, which cannot be cut; lower the sill or make the opening lower',
        'opening.above-wall' => 'the opening’s head stands {over|real} above the wall there; the wall is {height|real} high',
        'opening.overlap' => 'the opening overlaps “{other}” by {over|model}; they must stand apart',
        'dress.head-not-flat' => 'a {what} lies over a flat head; make the head flat, or put a brick arch over it',
        'dress.all-slope' => 'a {what} whose top slopes by all of its height has no front left; let it slope less',
        'dress.rise-too-great' => 'a {what} that rises more than half of what it spans is more than a half circle; let it rise less',
        'dress.too-large' => 'this {what} would be {given|model} from end to end; at this scale {limit|model} is the most, so one of its figures is a slip',
        'dress.too-many' => 'its {what} would be more than 500 to a jamb; make one of them higher',
        'dress.sill-twice' => 'its sill is described twice; say it among what stands round it, and take this one out',
        'rebate.nothing-to-hold' => 'nothing stands in an opening that is left open; take the rebate out, or choose a window or a door',
        'rebate.no-wall' => 'behind its face there is no wall for a rebate of {rebate|model} on every side of this opening; make it less, or move the opening',
        'rebate.overlap' => 'behind the face its rebate runs into that of “{other}”, by {over|model}; leave more between them, or make it less',
        'opening.kept-out' => 'the opening comes into what is kept free from {from|real} to {to|real} along this wall ({why}); move it, or keep less free',
        'row.no-room' => '{given} openings of {width|real} do not go side by side into a wall of {length|real}; fewer, or smaller margins',
        'row.margin-and-from' => 'margin and from are both given; keep one: a margin is equal at both ends, from is where the first stands',
        'edit.no-room' => 'there is no free place for it in the {wall} wall: {width|real} are needed, with a brick beside; make room first',
        'edit.no-place' => 'a {what} finds no place there at which the building closes; where it would usually stand: {why}',
        'edit.no-room-up' => 'there is no room over or under it in the {wall} wall for another row',
        'unknown-storey' => 'there is no storey “{given}”; known are {known}',
        'opening.no-wall' => 'the {wall} wall is left out (omit), and the opening with it; take the opening out, or build the wall',
        'opening.on-slope' => 'the roof in front of the {wall} wall runs through this opening behind the wall’s face, where the card is {thickness} mm thick; raise the sill, or lower the head, until the card holds it all round',
        'opening.hidden' => 'another block covers this part of the {wall} wall, so that the opening cannot be there; move it along or up',
        'opening.below-wall' => 'the sill is {given|real} below the wall’s foot; it must be 0 or more',
        'wall.too-short' => 'the wall is {length|model} long on the model, its corners take {corners|model}; it must be longer',
        'roof.too-flat' => 'a pitch of {given}° is out of range; a slope needs more than 0° and less than 80°; below that it is a “flat” roof',
        'roof.runs-over' => 'this roof stands higher than the one it runs into and would come out behind it; lower its eaves or its pitch, make the block narrower, or let the edge be a gable or a hip',
        'roof.runs-beside' => 'the overhang of this roof runs on beside the roof it dies into, past its end, and has nothing to die into there; make the overhang less on that side, or move the block in from the end by as much',
        'roof.upper-steeper' => 'the upper pitch of {given}° must be less than the lower one of {pitch}°',
        'roof.rise-unclear' => 'a rise is understood over a rect and for a lean-to; give the pitch instead',
        'roof.open' => 'the roof never closes: no edge of it slopes towards another; let one of its edges be a hip',
        'roof.inner-gable' => 'a gable next to an inner corner would stand on the slope beside it; make this edge a hip, or give the wing a block of its own',
        'roof.overhang-closes' => 'an overhang of {given} mm closes the recess at “{edge}”, {length} mm wide on the model; make it less than {least} mm there',
        'roof.overhang-meets' => 'the overhangs over “{one}” and “{other}” run into each other; make them less',
        'limit.parts' => 'this would make {given} parts; the limit is {limit}',
        'limit.bricks' => 'this would draw {given} bricks, stones or tiles; the limit is {limit}',
        'limit.sheets' => 'this would need {given} sheets; the limit is {limit}',
        'proof.out-of-range' => '“{given}” for 100 mm is off by more than 5 %; was the page fitted to the paper? Print at 100 % and measure again',
        'paper.no-size' => 'a page of your own needs its {side}: say how {side} it is, in millimetres',
        'paper.out-of-range' => 'a page of {given} mm; it must be from {least}, so that a proving rule of 100 mm goes on it, to {most}',
        'sheet.no-room' => 'a margin of {margin} mm leaves no room for parts on {paper}; it must be less',
        // edits and history
        'history.nothing' => 'there is nothing to {what}',
        'history.no-such' => 'there is no revision {given}',
        'edit.unknown' => '“{given}” is not a change that can be made; known are {known}',
        'edit.no-stack' => 'it is no stack on a sloping roof; a chimney comes of four plain walls without openings that stand on one',
        'edit.last-block' => 'a building has at least one block; describe another before this one goes',
        'edit.not-yet' => 'that can be worked out as soon as what is wrong with the building is put right',
        'edit.wall-goes' => 'the wall “{wall}” would go, with what stands in it ({count}); copy that to another wall or remove it first',
        'edit.kind-in-use' => '{count} in the walls are of the kind “{given}”; give them another kind first',
        'edit.too-few-openings' => 'the {wall} wall has not {wanted} openings for it to go over; add them first',
        'edit.no-such' => 'there is nothing at “{given}” any more; it may have been removed meanwhile',
        // plotter files
        'plotter.unknown' => '“{given}” is not a command a knife can follow; known are IN, CO, SP, PA, PU and PD',
        'plotter.odd' => 'there are {given} coordinates; they come in pairs',
        // archives of projects
        'archive.no-zip' => 'this is no archive of a project; choose a file that was downloaded as one',
        'archive.no-project' => 'the archive holds no project; it must say {wanted}',
        'archive.missing' => 'this file is missing in the archive',
        'archive.field' => '{what}',
        'archive.too-slow' => 'reading this took longer than {seconds} seconds, and nothing of it was kept; divide the project before it is written to a file',
        'archive.numbers' => 'the revisions are not in order; this should be number {wanted}',
        'mockup.too-large' => 'at {given} % the {what} do not fit a page; {most} % is the most that does',
        // prints and pieces
        'sheets.no-such' => 'there is no block or wall “{given}”; the blocks are {known}, and a wall is written as block.wall',
        'print.no-sheet' => 'there is no sheet {given}; known are {known}',
        'print.nothing' => 'there is nothing to print',
        'piece.not-by-program' => 'only what a new version of the program makes otherwise is kept as it is; “{given}” was changed by an edit, or not at all',
        'piece.no-such' => 'there is no such piece of “{given}” in this kit',
    ];

    /**
     * @param  ?callable(float, bool): string  $length  how a length in millimetres is written, and whether it is one of the real building;
     *                                         as those millimetres where nothing is said
     */
    public static function of(Problem $problem, ?callable $length = null): string
    {
        $text = self::TEXTS[$problem->code] ?? throw new LogicException("No sentence for the problem {$problem->code}");
        $length ??= static fn (float $mm): string => self::number($mm).' mm';
        $replace = [];
        foreach ($problem->facts as $name => $value) {
            $replace['{'.$name.'}'] = is_float($value) ? self::number($value) : (string) $value;
            foreach (['real' => true, 'model' => false] as $world => $isReal) {
                // What was kept before a fact was a figure is words already.
                $replace["{{$name}|$world}"] = is_string($value) ? $value : $length((float) $value, $isReal);
            }
        }

        return strtr($text, $replace);
    }

    private static function number(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }
}
