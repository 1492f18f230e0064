<?php

declare(strict_types=1);

namespace Chartula\Core;

use Chartula\Core\Building\Building;
use Chartula\Core\Fit\Checks;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Fit\ThingChecks;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Report;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\KitDocument;
use Chartula\Core\Kit\KitText;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\Wanted;

/** The way of one building through all rooms: kit, checks, sheets, the public document, and the dry fit of that document. */
final readonly class Derivation
{
    /**
     * @param  Building  $described  as it was entered
     * @param  Building  $building  what is modelled of it
     * @param  list<Check>  $checks
     * @param  string  $json  the kit document
     * @param  Recall  $recall  what was worked out on the way
     */
    private function __construct(
        public Building $described,
        public Building $building,
        public Kit $kit,
        public PrintedKit $printed,
        public array $checks,
        public string $json,
        public Report $dryFit,
        public ?Fit $fit,
        private string $fingerprint,
        public Recall $recall,
    ) {
    }

    /**
     * @param  string  $text  the building's accepted text, for its fingerprint
     * @param  Recall  $recall  what an earlier run worked out
     * @param  Wanted  $wanted  what is wanted on sheets, and how long is looked for fewer
     *
     * @throws InvalidInput with every reason why it cannot be made
     */
    public static function of(Building $building, string $text, Recall $recall = new Recall, Wanted $wanted = new Wanted): self
    {
        $printed = PrintedKit::of($building, $recall, $wanted);
        // From here on the building is what is modelled of it.
        [$described, $building, $kit, $plan] = [$building, $printed->building, $printed->kit, $printed->plan];
        $fingerprint = 'sha256:'.hash('sha256', $text);
        $text = KitText::of($building, $fingerprint, $kit, $recall);
        $totals = ['totals' => KitDocument::totals($kit, $plan->totals())];
        $assembly = $text->assembly($totals, $recall);
        $fit = Fit::of($building, $kit, $assembly, $recall);
        $dryFit = DryFit::of($assembly, $described, $recall);
        $fits = [...$fit?->checks() ?? [], ...array_filter([$dryFit->closedBehind()])];
        $remarks = [...Checks::of($building, $kit), ...ThingChecks::all($described, $kit)];
        $checks = Checks::inOrder([...$plan->checks, ...$kit->checks, ...$remarks, ...$fits]);
        $json = $text->with([
            'checks' => array_map(static fn (Check $c): array => $c->toArray(), $checks),
            'sheets' => array_map(static fn (Sheet $s): array => $s->toArray(), $plan->sheets),
        ] + $totals + ['assembly' => []]);

        return new self(
            $described,
            $building,
            $kit,
            $printed,
            $checks,
            $json,
            $dryFit,
            $fit,
            $fingerprint,
            $recall,
        );
    }

    /** Gives the fingerprint of the building's text, `sha256:` and 64 digits. */
    public function fingerprint(): string
    {
        return $this->fingerprint;
    }

    /** @return array<string, mixed> the kit document as it reads back from its JSON */
    public function serialised(): array
    {
        /** @var array<string, mixed> */
        return json_decode($this->json, true, 512, JSON_THROW_ON_ERROR);
    }
}
