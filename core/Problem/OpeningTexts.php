<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

/** The sentences of problems with openings, what stands in them and what holds that. */
final readonly class OpeningTexts
{
    public const ALL = [
        'stack.frames-first' => 'what stands in openings is cut in a layer behind another, never in the outermost; put a face before it',
        'stack.frames-twice' => 'what stands in openings is cut in one layer of a wall; make the other a core',
        'frame.not-deep' => 'only a sash has a half that can be set back: say that it is one, of two panes up at the least, with its bars cut, in one light without a transom',
        'bought.none' => 'this {given} is open, and nothing bought stands in it; take one of the two out',
        'bought.size' => 'for what is bought its opening has to be {width} by {height} on the model; it is {is}',
        'frame.not-raised' => 'only the lower half of a sash that is set back can be pushed up; say that it is one, or take this out',
        'frame.not-ajar' => 'only a casement stands ajar; give its lights casements, or take this out',
        'frame.ajar' => 'it has {lights} casements side by side; there is no {given}th to stand ajar',
        'frame.ajar-head' => 'the casement that is to stand ajar has a curved head, which would strike the reveal over it; let one with a level head stand ajar, or shut it',
        'frame.raised' => 'its lower half would be pushed up by {given|model} and rises by {limit|model} at the most: its halves cannot pass any further',
        'leaf.hinges' => 'only doors under a level head turn on hinges, neither parted as a stable’s nor sliding; take them out, or change the door',
        'leaf.hinges-room' => 'a frame of {post} all round leaves nothing of its leaves; make it less',
        'leaf.hung' => 'only the single leaf of a door, or both of one on hinges, stand open by so much; put it on hinges, let it slide, or take this out',
        'leaf.split' => 'the door is {height} high; it must be parted below that',
        'glass.leads' => 'this would be of {given} leads; {limit} is the most. Put them farther apart',
        'tracery.foils' => 'a circle has no {given} foils: three at the least, or 0 for a plain one',
        'tracery.plain' => 'tracery stands over two lights or more that nothing else divides: take out bars, transom and casements, or the tracery',
        'tracery.no-room' => 'there is no room for tracery: nothing of a circle is left under its head; make its bars thinner, or its head higher',
        'frame.slides' => 'a sash slides and has no casements; take one of the two out',
        'frame.none' => 'this {given} is filled up and has no frame; take one of the two out',
        'blind.none' => 'this {given} is open and not filled up; take one of the two out',
        'leaf.none' => 'this {given} has no leaf: it has panes, or nothing stands in it; take one of the two out',
        'head.circle' => 'a round light is as high as it is wide: {width}, not {height}',
        'head.circle-leaf' => 'a round light has glass, is filled up or is open; no leaf goes into it',
        'head.circle-dress' => 'nothing stands round a round light yet; take it out',
        'head.circle-tracery' => 'a round light has no tracery yet; divide it into panes',
        'head.circle-foot' => 'a round light does not stand on the ground; raise its sill',
        'head.rise-too-great' => 'a {shape} head rises by {limit} at the most over a width of {width}; {rise} is too much',
        'head.rise-too-small' => 'a {shape} head rises by more than {limit} over a width of {width}; {rise} is too little',
        'head.above-height' => 'the rise of {rise} leaves no upright jamb in a height of {height}; it must be less',
        'frame.no-room' => 'stiles of {stile} and bars of {bar} leave no glass in a frame {width} wide and {height} high (model mm); use fewer panes or thinner members',
        'rebate.nothing-to-hold' => 'nothing stands in an opening that is left open; take the rebate out, or choose a window or a door',
        'rebate.no-wall' => 'behind its face there is no wall for a rebate of {rebate|model} on every side of this opening; make it less, or move the opening',
        'rebate.overlap' => 'behind the face its rebate runs into that of “{other}”, by {over|model}; leave more between them, or make it less',
    ];
}
