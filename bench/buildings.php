<?php

declare(strict_types=1);

// Buildings of any size for the benches, made from the weigh office.

/** A loft with so many windows in its front and in its back. */
function loft(string $office, int $windows): string
{
    $document = json_decode($office);
    $document->name = "Loft of $windows windows";
    $document->scale = '1:148';
    $document->sheets = (object) ['paper' => 'a4'];
    $length = 8 * $windows + 6;
    $document->blocks[0]->footprint->rect = ["{$length}ft", '20ft'];
    $row = static fn (string $id): array =>
        [['id' => $id, 'style' => 'sash', 'from' => '4ft', 'sill' => '2ft 9in', 'repeat' => ['count' => $windows, 'pitch' => '8ft']]];
    $document->blocks[0]->walls[0]->openings = $row('w');
    $document->blocks[0]->walls[2]->openings = $row('v');

    return (string) json_encode($document);
}

/** The same with every window by itself, so that one of them can be moved, and no two walls alike: two parts to a window. */
function singly(string $office, int $windows): string
{
    $document = json_decode(loft($office, $windows));
    foreach ([0, 2] as $wall) {
        $row = $document->blocks[0]->walls[$wall]->openings[0];
        $document->blocks[0]->walls[$wall]->openings = array_map(static fn (int $i): array => [
            'id' => $i === 0 ? $row->id : "$row->id$i", 'style' => 'sash', 'from' => (4 + 8 * $i)."ft {$wall}in", 'sill' => '2ft 9in',
        ], range(0, $windows - 1));
    }

    return (string) json_encode($document);
}

/** A square hall under a low roof with so many windows in each wall, bare. */
function hall(string $office, int $windows): string
{
    $document = json_decode(loft($office, $windows));
    $document->scale = '1:160';
    $length = 8 * $windows + 6;
    $document->blocks[0]->footprint->rect = ["{$length}ft", "{$length}ft"];
    $document->blocks[0]->roof->pitch = 2;
    $document->blocks[0]->roof->finish = 'bare';
    $document->blocks[0]->features = [];
    $row = [['id' => 'w', 'style' => 'sash', 'from' => '4ft', 'sill' => '2ft 9in', 'repeat' => ['count' => $windows, 'pitch' => '8ft']]];
    $document->blocks[0]->walls = array_map(
        static fn (string $edge): array => ['edge' => $edge, 'finish' => 'bare', 'openings' => $row],
        ['front', 'right', 'back', 'left'],
    );

    return (string) json_encode($document);
}
