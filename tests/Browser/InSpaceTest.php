<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use GdImage;
use PHPUnit\Framework\Attributes\Group;

/** The kit standing in space. */
final class InSpaceTest extends BrowserTestCase
{
    protected const DRAWS_IN_SPACE = true;

    /** @var array{int, int} small, since every point of a picture is worked out by the processor */
    protected const WINDOW = [1000, 743];

    #[Group('deep')]
    public function testTheKitReallyStandsInSpace(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $building = $this->building();
        $this->open("$building/stand");
        $this->find('//canvas[@data-drawn="true"]');
        usleep(800_000);
        $whole = $this->picture();
        self::assertGreaterThan(0.02, self::unlike($whole, null), 'more than the board behind it');
        $this->find("//label[normalize-space()='papers']/input")->click();
        usleep(400_000);
        $bare = $this->picture();
        self::assertGreaterThan(0.005, self::unlike($whole, $bare), 'hiding the papers shows');
        // By keyboard: turned, and pulled apart.
        $this->browser->executeScript('document.querySelector("canvas.standing").focus()');
        $this->keys(WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT);
        usleep(300_000);
        self::assertGreaterThan(0.02, self::unlike($bare, $this->picture()), 'arrow keys turn it');
        $before = $this->picture();
        $this->find("//label[starts-with(normalize-space(), 'pull apart')]//input")->sendKeys(WebDriverKeys::END);
        usleep(300_000);
        self::assertGreaterThan(0.02, self::unlike($before, $this->picture()), 'it comes apart');
        $this->press('From the operator’s eye');
        usleep(300_000);
        self::assertGreaterThan(0.02, self::unlike($before, $this->picture()), 'the eye sees it from elsewhere');
        $this->press('Picture');
        self::assertStringStartsWith("\x89PNG", (string) file_get_contents($this->downloaded('Weigh office.png')));
        // A piece in the list leads to the drawing and to its sheet.
        $this->press('W2 Front wall, core');
        $this->sees('greyboard 1.05 mm, 1.17 mm thick as it is stuck. It stands from 0.0 to 72.0 across');
        $this->link('On sheet 1')->click();
        $this->find("//figure[@class='chosen']//img[contains(@alt, 'Sheet 1')]");
        // And the other way round.
        $this->link('R3')->click();
        $this->heading('R3 Ridge strip');
        $this->open("$building/stand?part=main.front.core");
        $this->link('In the drawing')->click();
        $this->heading('W2, Front wall, core');
        $this->link('See W2 standing')->click();
        $this->heading('W2 Front wall, core');
        $this->assertQuiet('standing');
    }

    public function testAnEditShowsInSpaceAndTheViewStays(): void
    {
        $building = $this->beginBuilding('Olaf', 'Space');
        $this->type('eaves above datum', '14ft');
        $this->saved(2);
        $this->open("$building/stand");
        $this->find('//canvas[@data-drawn="true"][@data-revision="2"]');
        usleep(800_000);
        $tall = $this->picture();
        $this->press('Undo');
        $this->find('//canvas[@data-drawn="true"][@data-revision="3"]');
        usleep(600_000);
        self::assertGreaterThan(0.01, self::unlike($tall, $this->picture()), 'lower by four and a half feet');
    }

    public function testAPieceIsPickedInSpace(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $this->open($this->building().'/stand');
        $canvas = $this->find('//canvas[@data-drawn="true"]');
        usleep(500_000);
        $canvas->click();
        $this->find("//aside//a[normalize-space()='In the drawing'] | //aside//a[starts-with(normalize-space(), 'On sheet')]");
    }

    public function testStandingIsSoundOnADeskAndReadableOnAPhone(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $this->open($this->building().'/stand');
        $this->find('//canvas[@data-drawn="true"]');
        $this->assertSound('standing');
        $this->narrowToAPhone();
        $this->find("//section[@aria-label='Standing']");
        self::assertLessThanOrEqual(500, $this->rightmost());
    }

    private function picture(): GdImage
    {
        $png = $this->browser->findElement(WebDriverBy::cssSelector('canvas.standing'))->takeElementScreenshot();
        $picture = imagecreatefromstring((string) $png);
        self::assertNotFalse($picture);

        return $picture;
    }

    /** What part of the pixels differs from another picture, or from the board behind. */
    private static function unlike(GdImage $one, ?GdImage $other): float
    {
        [$w, $h] = [imagesx($one), imagesy($one)];
        $board = imagecolorat($one, 5, 5);
        $unlike = 0;
        $seen = 0;
        for ($y = 3; $y < $h - 3; $y += 2) {
            for ($x = 3; $x < $w - 3; $x += 2) {
                $a = (int) imagecolorat($one, $x, $y);
                $b = (int) ($other === null ? $board : imagecolorat($other, $x, $y));
                $unlike += abs(($a >> 16) - ($b >> 16)) + abs((($a >> 8) & 255) - (($b >> 8) & 255)) + abs(($a & 255) - ($b & 255)) > 24
                    ? 1
                    : 0;
                $seen++;
            }
        }

        return $unlike / $seen;
    }
}
