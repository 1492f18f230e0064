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
            $this->tryWhatIsNotWhole($place);
        } finally {
            (new Process(['rm', '-rf', $place]))->mustRun();
        }
    }

    /** Wherever a file is cut it is refused, and what is there stays; so is one of a newer program. Sessions from before are ended. */
    private function tryWhatIsNotWhole(string $place): void
    {
        $whole = (string) file_get_contents("$this->folder/a.dump");
        $before = self::chartula('restored', ['backup', "$this->folder/before.dump"])->mustRun();
        foreach ([0.3, 0.6, 0.8, 0.85, 0.9, 0.95, 0.99, 0.999] as $i => $share) {
            file_put_contents("$this->folder/cut", substr($whole, 0, (int) (strlen($whole) * $share)));
            $cut = self::chartula('restored', ['restore', "$this->folder/cut", '--replace']);
            self::assertSame(1, $cut->run(), "cut to $share");
            self::assertMatchesRegularExpression('/not whole|is not a backup/', $cut->getErrorOutput());
        }
        self::chartula('restored', ['backup', "$this->folder/after.dump"])->mustRun();
        self::assertSame(self::rows("$this->folder/before.dump"), self::rows("$this->folder/after.dump"));
        self::assertSame([], (array) glob("$this->folder/cut.before-restore-*"), $before->getOutput());

        $add = '. bin/lib/common.sh; . bin/lib/instance.sh; use_instance restored; database_up; '
            ."admin_sql -d chartula -c \"insert into migrations (migration, batch) values ('2099_01_01_000001_from_tomorrow', 99)\"; database_down";
        (new Process(['bash', '-c', $add], self::project()))->mustRun();
        self::chartula('restored', ['backup', "$this->folder/newer.dump"])->mustRun();
        $newer = self::chartula('restored', ['restore', "$this->folder/newer.dump", '--replace']);
        self::assertSame(1, $newer->run());
        self::assertStringContainsString('it knows 2099_01_01_000001_from_tomorrow', $newer->getErrorOutput());

        file_put_contents("$place/code/storage/framework/sessions/somebody", 'signed in');
        $again = self::chartula('restored', ['restore', "$this->folder/a.dump", '--replace'])->mustRun();
        self::assertStringContainsString('What was here before is kept in', $again->getOutput());
        self::assertFileDoesNotExist("$place/code/storage/framework/sessions/somebody");
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
