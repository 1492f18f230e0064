<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

/** What was acknowledged is there, however often the web server or the database is killed in the middle of a save. */
final class KilledServersTest extends TestCase
{
    private const KILLS = 6;

    private const DEEP_KILLS = 40;

    private Person $person;

    protected function setUp(): void
    {
        $this->person = Person::registered('Etheldreda');
    }

    public function testNothingAcknowledgedIsLost(): void
    {
        $building = $this->person->begin('Kill', Kits::exampleText('weigh-office'));
        $acknowledged = [];
        $revision = 1;
        $refused = 0;
        $kills = getenv('CHARTULA_DEEP') !== false ? self::DEEP_KILLS : self::KILLS;
        for ($kill = 0; $kill < $kills; $kill++) {
            $target = $kill % 2 === 0 ? 'web' : 'database';
            // The kill falls somewhere in a run of saves.
            $process = Served::begun("$target-kill", random_int(5, 25) / 100.0);
            $process->start();
            for ($i = 0; $i < 4; $i++) {
                $id = Person::uuid();
                $name = "Loft $kill.$i";
                [$status] = $this->person->call(
                    'POST',
                    "buildings/$building/revisions",
                    ['client_id' => $id, 'base' => $revision, 'edits' => [['op' => 'set', 'path' => 'name', 'value' => $name]]],
                );
                if ($status === 201) {
                    $acknowledged[++$revision] = $name;

                    continue;
                }
                $refused++;
                $process->wait();
                Served::does("$target-up");
                // Whether it was saved or not is not known: the same id again finds out.
                [$status, $answer] = $this->retry($building, $id, $revision, $name);
                self::assertContains($status, [200, 201], (string) json_encode($answer));
                $acknowledged[++$revision] = $name;
            }
            $process->wait();
            Served::does("$target-up");
        }
        self::assertGreaterThan(0, $refused, 'some save was hit');
        $revisions = $this->person->call('GET', "buildings/$building/revisions")[1]['revisions'];
        self::assertIsArray($revisions);
        $found = [];
        foreach ($revisions as $one) {
            self::assertIsArray($one);
            self::assertIsInt($one['number']);
            $found[$one['number']] = $one['summary'];
        }
        foreach ($acknowledged as $number => $name) {
            self::assertStringEndsWith("to $name", is_string($found[$number] ?? null) ? $found[$number] : 'nothing');
        }
        self::assertCount(count($acknowledged) + 1, $found);
    }

    /** Undo and redo, prints, and marks on pieces, each sent again under its id after a kill: done once, and not lost. */
    #[Group('deep')]
    public function testHistoryPrintsAndMarksSurviveKillsToo(): void
    {
        $building = $this->person->begin('Kill', Kits::exampleText('weigh-office'));
        $this->acknowledged(
            'POST',
            "buildings/$building/revisions",
            ['client_id' => Person::uuid(), 'base' => 1, 'edits' => [['op' => 'set', 'path' => 'note', 'value' => 'nothing that is cut']]],
        );
        $revision = 2;
        $parts = ['main.base.floor', 'main.front.core', 'main.back.core', 'main.ridge.strip'];
        foreach ($parts as $kill => $part) {
            $target = $kill % 2 === 0 ? 'database' : 'web';
            $process = Served::begun("$target-kill", random_int(2, 20) / 100.0);
            $process->start();
            $this->acknowledged(
                'POST',
                "buildings/$building/revisions",
                ['client_id' => Person::uuid(), 'base' => $revision++, $kill % 2 === 0 ? 'undo' : 'redo' => true],
            );
            $this->acknowledged('POST', "buildings/$building/prints", ['client_id' => Person::uuid(), 'which' => 'all']);
            $this->acknowledged('PATCH', "buildings/$building/pieces", ['pieces' => [['part' => $part, 'copy' => 0]], 'state' => 'cut']);
            $process->wait();
            Served::does("$target-up");
        }
        $made = $this->acknowledged('GET', "buildings/$building/made");
        self::assertIsArray($made['prints']);
        self::assertCount(count($parts), $made['prints'], 'each print once');
        self::assertIsArray($made['pieces']);
        $cut = array_column(array_filter($made['pieces'], static fn (mixed $p): bool => is_array($p) && $p['state'] === 'cut'), 'part');
        sort($cut);
        sort($parts);
        self::assertSame($parts, $cut);
        self::assertSame($revision, $this->acknowledged('GET', "buildings/$building/revisions")['total'], 'each undo and redo once');
    }

    /**
     * Sent until it is answered; servers that were killed are brought back in between.
     *
     * @param  array<string, mixed>  $data
     * @return array<array-key, mixed>
     */
    private function acknowledged(string $method, string $path, array $data = []): array
    {
        for ($try = 0; $try < 60; $try++) {
            [$status, $answer] = $this->person->call($method, $path, $data);
            if ($status >= 200 && $status < 300) {
                return $answer;
            }
            self::assertTrue($status === 0 || $status >= 500, "$method $path: $status ".json_encode($answer));
            foreach (['database', 'web'] as $target) {
                Served::does("$target-up");
            }
            usleep(50_000);
        }
        self::fail("$method $path was never answered");
    }

    /** @return array{int, array<array-key, mixed>} */
    private function retry(string $building, string $id, int $revision, string $name): array
    {
        $last = [0, []];
        for ($try = 0; $try < 40; $try++) {
            $last = $this->person->call(
                'POST',
                "buildings/$building/revisions",
                ['client_id' => $id, 'base' => $revision, 'edits' => [['op' => 'set', 'path' => 'name', 'value' => $name]]],
            );
            if ($last[0] === 200 || $last[0] === 201) {
                break;
            }
            usleep(100_000);
        }

        return $last;
    }
}
