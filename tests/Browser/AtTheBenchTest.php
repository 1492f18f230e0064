<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;

/** Marking what is made, the finder, and the simulated devices. */
final class AtTheBenchTest extends BrowserTestCase
{
    public function testPrintedPiecesGoStaleAndFixedOnesAreAskedFor(): void
    {
        $building = $this->beginBuilding('Njal', 'Bench');
        $this->link('Shell')->click();
        $this->press('Add sash');
        $this->saved(2);
        $this->open("$building/bench");
        $this->press('Mark all sheets as printed');
        $this->sees('all sheets,');
        $this->find("//div[@role='group'][starts-with(@aria-label, 'W2 Front wall, core')]/button[normalize-space()='fixed']")->click();
        $this->sees('1 fixed');
        $this->open("$building/shell");
        $this->find("//*[@data-opening='w1']")->click();
        $this->keys(WebDriverKeys::ARROW_RIGHT);
        $this->sees('This changes a part that is already fixed.');
        $this->sees('moved 3.00 mm');
        $this->press('Leave it as it is');
        $this->saved(2);
        $this->find("//*[@data-opening='w1']")->click();
        $this->keys(WebDriverKeys::ARROW_RIGHT);
        $this->press('Change it all the same');
        $this->saved(3);
        $this->sees('pieces stale');
        $this->open("$building/bench");
        $this->press('stale');
        $this->sees('stale in cut');
        self::assertNotSame([], $this->browser->findElements(WebDriverBy::cssSelector('.ghost path[stroke-dasharray]')));
        $this->assertAccessible('stale pieces');
        $this->link('Download just the stale pieces')->click();
        $text = (new Process(['pdftotext', $this->downloaded('*-stale.pdf'), '-']))->mustRun()->getOutput();
        self::assertStringContainsString('Front wall', $text);
        self::assertStringNotContainsString('Back wall', $text);
        $this->press('Mark the stale pieces as printed');
        $this->sees('None is stale.');
    }

    public function testTheFinderByKeyboardOnly(): void
    {
        $this->enterDemo();
        $this->keys('/');
        $this->find("//input[@role='combobox']")->sendKeys('6ft at 1:87.1');
        $this->sees('6ft of the real thing is 21.00 mm at 1:87.1');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->link('Weigh office')->sendKeys(WebDriverKeys::ENTER);
        $this->find("//*[@data-opening='w1']");
        $building = $this->building();
        $this->browser->executeScript(
            'window.pointers = 0; for (const t of ["pointerdown", "mousedown"]) addEventListener(t, () => window.pointers++, true);',
        );
        $this->keys('/');
        $this->find("//input[@role='combobox']")->sendKeys('22.5mm');
        $this->sees('22.5mm on the model is 5ft 7 1/2in');
        $this->assertSound('finder');
        $this->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_UP, WebDriverKeys::ENTER);
        $this->find("//p[@role='status'][contains(., 'Copied') or contains(., 'Enter copies')]");
        $this->keys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL, 'what is this');
        $this->sees('Nothing is called “what is this” here. Write a length with its unit');
        $this->keys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL, 'P3');
        $this->find("//li[@role='option'][contains(., 'P3, Back wall, brick paper')]");
        $this->keys(WebDriverKeys::ENTER);
        $this->heading('Back, from outside');
        $this->heading('P3, Back wall, brick paper');
        self::assertSame(0, $this->browser->executeScript('return window.pointers'));
        self::assertStringContainsString($building, (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH));
    }

    public function testEitherSideOfTheDoubleRuleTakesAFigure(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $this->find("//*[@data-opening='w1']");
        $this->find("//div[@class='rule-figures']/label[1]/input")->sendKeys('7ft 6in');
        $this->find("//div[@class='rule-figures']/label[2]/input[@value='30.00 mm']");
        $this->find("//*[name()='text'][.='7ft 6in = 30.0 mm']");
        $this->find("//div[@class='rule-figures']/label[2]/input")
            ->sendKeys([WebDriverKeys::CONTROL, 'a'])
            ->sendKeys([WebDriverKeys::NULL, '12mm']);
        $this->find("//div[@class='rule-figures']/label[1]/input[@value='3ft']");
    }

    public function testWatchesTheKnifeAndTriesThePrinter(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $this->open($this->building().'/sheets');
        // As it was packed at first, until the server has looked for a tighter packing.
        $this->sees('2 pages, ');
        $this->sees('by the parts’ areas there are no fewer than 2.');
        $this->find("(//button[normalize-space()='Watch it cut'])[1]")->click();
        $this->sees('2 passes in card 0.52 mm, 5 passes in greyboard 1.05 mm, 2 passes in card 0.25 mm. Nothing leaves the sheet');
        self::assertSame('What the knife does on sheet 1', $this->browser->switchTo()->activeElement()->getText());
        $this->press('Run it');
        // A line has to be followed before the next begins; on a busy machine it may be done before a second question, and runs again.
        $hold = <<<'JS'
            const named = (name) => [...document.querySelectorAll('button')].find((one) => one.innerText.trim() === name);
            named('Run it')?.click();
            if (Number(/, line (\d+)/.exec(document.body.innerText)?.[1] ?? 0) < 3) return false;
            named('Hold').click();
            return true;
            JS;
        $this->browser->wait(20, 50)->until(fn (): bool => $this->browser->executeScript($hold) === true, 'The knife does not move on');
        $drawn = fn (): int => count($this->browser->findElements(WebDriverBy::cssSelector('.cutting path[stroke-dasharray]')));
        self::assertGreaterThan(0, $drawn());
        $lines = count($this->browser->findElements(WebDriverBy::cssSelector('.cutting path:not([stroke-dasharray])')));
        self::assertLessThan($lines, $drawn());
        $this->find("//summary[normalize-space()='Try it on a simulated printer']")->click();
        $this->press('Print sheet 1');
        $this->browser->wait(10, 100)->until(
            fn (): bool => $this->browser->executeScript('return document.querySelector("img.printed")?.naturalWidth ?? 0') === 1241,
        );
        $this->press('Other files');
        $this->link('Sheets as DXF')->click();
        self::assertStringContainsString('AC1009', (string) file_get_contents($this->downloaded('weigh-office-sheets.dxf')));
        $this->assertQuiet('devices');
    }
}
