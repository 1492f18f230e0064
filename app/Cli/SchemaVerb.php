<?php

declare(strict_types=1);

namespace App\Cli;

use Chartula\Core\Building\Schema\DocumentSchema;
use Chartula\Core\Building\Schema\FieldTables;

/** `chartula schema`: what a building document may hold, from the descriptions by which it is read. */
final readonly class SchemaVerb extends Verb
{
    public const USAGE = <<<'TEXT'
        Usage: chartula schema [FILE.md]

          writes the JSON Schema of building documents to standard output, as docs/schema/building.schema.json has it;
          with a FILE, that file in its place, with the table of every described thing put between its marks

        TEXT;

    protected function work(array $words): int
    {
        $frame = (string) file_get_contents(__DIR__.'/../../docs/schema/building.frame.json');
        $this->say($words === [] ? DocumentSchema::of($frame) : FieldTables::filled(Options::read($words, [])->contents($this->in)));

        return 0;
    }
}
