<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The whole database written to a file and read into an empty cluster, by the verbs that a person uses. */
final class BackupTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/chartula-backup-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
    }

    public function testAnEmptyClusterHoldsTheSameAfterwards(): void
    {
        $place = trim(
            (
                new Process(['bash', '-c', '. bin/lib/common.sh; use_instance restored; echo "$place"'], self::project())
            )->mustRun()->getOutput(),
        );
        self::assertStringEndsWith('/restored', $place);
        try {
            self::chartula(Served::instance(), ['backup', "$this->folder/a.dump"])->mustRun();
            self::assertSame('0600', substr(sprintf('%o', (int) fileperms("$this->folder/a.dump")), -4));
            $into = self::chartula('restored', ['restore', "$this->folder/a.dump"])->mustRun();
            self::assertStringContainsString('Restored', $into->getOutput());
            self::chartula('restored', ['backup', "$this->folder/b.dump"])->mustRun();
            $rows = self::rows("$this->folder/a.dump");
            self::assertGreaterThan(100, count($rows), 'the demo and what other tests made');
            self::assertSame($rows, self::rows("$this->folder/b.dump"));
            // What is there is not written over without being asked, and then it is kept.
            $again = self::chartula('restored', ['restore', "$this->folder/a.dump"]);
            self::assertSame(1, $again->run());
            self::assertStringContainsString('restore into an empty database, or say --replace', $again->getErrorOutput());
            self::chartula('restored', ['restore', "$this->folder/a.dump", '--replace'])->mustRun();
            self::assertSame(1, count((array) glob("$this->folder/a.dump.before-restore-*")));
        } finally {
            (new Process(['rm', '-rf', $place]))->mustRun();
        }
    }

    public function testRefusesWhatIsNoBackupAndWhatIsThereAlready(): void
    {
        file_put_contents("$this->folder/x", 'no backup');
        $restore = self::chartula(Served::instance(), ['restore', "$this->folder/x", '--replace']);
        self::assertSame([1, true], [$restore->run(), str_contains($restore->getErrorOutput(), 'is not a backup')]);
        $backup = self::chartula(Served::instance(), ['backup', "$this->folder/x"]);
        self::assertSame([1, true], [$backup->run(), str_contains($backup->getErrorOutput(), 'exists already')]);
    }

    /** @param  list<string>  $words */
    private static function chartula(string $instance, array $words): Process
    {
        return new Process(['bin/chartula', ...$words], self::project(), ['CHARTULA_INSTANCE' => $instance], timeout: 60);
    }

    /** @return list<string> every row of every table, sorted */
    private static function rows(string $dump): array
    {
        $programs = glob('/usr/lib/postgresql/*/bin');
        $text = (
            new Process([($programs === false ? '' : (string) end($programs)).'/pg_restore', '--data-only', '-f', '-', $dump])
        )->mustRun()->getOutput();
        $rows = array_values(
            array_filter(explode("\n", $text), static fn (string $line): bool => preg_match('/^(--|\\\\(un)?restrict )/', $line) !== 1),
        );
        sort($rows);

        return $rows;
    }

    private static function project(): string
    {
        return dirname(__DIR__, 2);
    }
}
