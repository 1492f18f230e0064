<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;

/** What a person does, from the front page to the sheets. */
final class JourneyTest extends BrowserTestCase
{
    public function testFromNothingToAPrintedSheetAndBack(): void
    {
        $this->register('Ada');
        $this->type('New project', 'Harbour end', leave: false);
        $this->press('Begin the project');
        $this->press('New building');
        $this->press('Begin the building');
        $this->heading('The real building');
        $this->type('width', "20' 6\"");
        $this->saved(2);
        $this->type('eaves above datum', '40co');
        $this->saved(3);
        // 20 ft 6 in / 76.2 = 82 mm; 40 courses of 3 in = 10 ft.
        $this->sees('82.00 mm');
        $this->sees('20ft 6in wide, 12ft deep, 10ft to the eaves');
        $this->link('Shell')->click();
        $this->press('Add sash');
        $this->saved(4);
        $this->browser->navigate()->refresh();
        $this->sees('1 opening');
        $this->link('Sheets')->click();
        $this->link('Download the PDF, 1:1')->click();
        $pdf = $this->downloaded('*.pdf');
        $text = (new Process(['pdftotext', $pdf, '-']))->mustRun()->getOutput();
        self::assertStringContainsString('Print at 100 %', $text);
        self::assertStringContainsString('New building', $text);
        self::assertStringContainsString('Pages:           5', (new Process(['pdfinfo', $pdf]))->mustRun()->getOutput());
        (new Process(['qpdf', '--check', $pdf]))->mustRun();
        $address = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        $this->assertQuiet('sheets');

        $this->endSession();
        $this->register('Bede');
        $this->open($address);
        $this->heading('This is not here');
    }

    public function testABuildingBeginsInAShapeOrNotAtAll(): void
    {
        $this->register('Edith');
        $this->type('New project', 'Ranges', leave: false);
        $this->press('Begin the project');
        $this->press('New building');
        $this->sees('every figure can be changed');
        self::assertCount(11, $this->browser->findElements(WebDriverBy::cssSelector('.begin-shapes svg path:first-child')));
        $this->press('Leave it');
        $this->sees('No building in it yet.');
        $this->press('New building');
        $this->type('Name of the building', 'Brewhouse', leave: false);
        $this->find("//label[contains(., 'H, two ranges and a link')]")->click();
        $this->press('Begin the building');
        $this->heading('The real building');
        $this->sees('West range');
        $this->sees('joints close');
        $this->browser->navigate()->refresh();
        $this->sees('East range');
    }

    public function testAWindowIsMovedByKeyboardWithoutAnyPointer(): void
    {
        $this->register('Cuthbert');
        $this->type('New project', 'Keys', leave: false);
        $this->keys(WebDriverKeys::ENTER);
        $this->find("//button[normalize-space()='New building']")->sendKeys(WebDriverKeys::ENTER);
        $this->find("//button[normalize-space()='Begin the building']")->sendKeys(WebDriverKeys::ENTER);
        $this->heading('The real building');
        $this->link('Shell')->sendKeys(WebDriverKeys::ENTER);
        $this->find("//button[normalize-space()='Add sash']")->sendKeys(WebDriverKeys::ENTER);
        $this->saved(2);
        $this->browser->executeScript(
            'window.pointers = 0; for (const t of ["pointerdown", "mousedown", "touchstart"]) addEventListener(t, () => window.pointers++, true); document.querySelector("svg.drawing").focus();',
        );
        // What was added is chosen.
        self::assertSame('1ft 6in', $this->field('from the left end')->getAttribute('value'));
        // A brick to the right, a quarter of one further, and a course up; within a second they are one revision, and one step of undo.
        $this->keys(
            WebDriverKeys::ARROW_RIGHT,
            WebDriverKeys::SHIFT.WebDriverKeys::ARROW_RIGHT.WebDriverKeys::NULL,
            WebDriverKeys::ARROW_UP,
        );
        $this->find("//input[@value='2ft 5 1/4in']");
        $this->find("//input[@value='3ft']");
        $this->saved(3);
        $this->keys(WebDriverKeys::CONTROL.'z'.WebDriverKeys::NULL);
        $this->find("//input[@value='2ft 9in']");
        $this->saved(4);
        self::assertSame('1ft 6in', $this->field('from the left end')->getAttribute('value'));
        self::assertSame(0, $this->browser->executeScript('return window.pointers'));
        $this->browser->navigate()->refresh();
        $this->sees('1 opening');
        $this->assertQuiet('shell');
    }

    public function testAWindowIsDraggedByBricksAndThicknessIsTyped(): void
    {
        $this->beginBuilding('Frith', 'Drag');
        $this->link('Shell')->click();
        $this->press('Add sash');
        $this->saved(2);
        $window = $this->find("//*[@data-opening='w1']");
        $wall = $this->browser->executeScript(
            'const s = document.querySelector("svg.drawing"); return s.getBoundingClientRect().width / s.viewBox.baseVal.width * 3;',
        );
        self::assertIsNumeric($wall);
        // A brick is 3 mm at 1:76.2; two and a fifth bricks along is two and a quarter.
        (new WebDriverActions($this->browser))
            ->moveToElement($window)
            ->clickAndHold()
            ->moveByOffset((int) round($wall * 1.1), 0)
            ->moveByOffset((int) round($wall * 1.1), -(int) round($wall / 3.0 * 2.1))
            ->release()
            ->perform();
        $this->saved(3);
        self::assertSame('3ft 2 1/4in', $this->field('from the left end')->getAttribute('value'));
        self::assertSame('3ft 3in', $this->field('sill above base')->getAttribute('value'), 'two courses up');
        $this->press('One more in the row');
        $this->saved(4);
        $this->sees('row of 2');
        $this->link('Sheets')->click();
        // Face and core count as measured: 48 − 2 × (0.62 + 1.12) = 44.52 before, 0.1 more card on each side after.
        $this->type('greyboard 1 mm', '1.1mm');
        $this->saved(5);
        $this->link('Shell')->click();
        $this->press('right');
        $this->find("//table//tr[td[normalize-space()='foot']]/td[normalize-space()='44.32 mm']");
        $this->assertQuiet('shell');
    }

    public function testWhatCannotBeReadStaysAtItsFieldAcrossAReload(): void
    {
        $this->beginBuilding('Dunstan', 'Drafts');
        $this->type('width', '18');
        $this->sees('“18” has no unit');
        $this->browser->navigate()->refresh();
        self::assertSame('18', $this->field('width')->getAttribute('value'));
        $this->sees('saved, revision 1');
        $this->type('width', '6.1m');
        $this->saved(2);
        $this->link('Shell')->click();
        $this->press('Add door');
        $this->saved(3);
        $this->browser->findElement(WebDriverBy::cssSelector('[data-opening=d1]'))->click();
        $this->type('from the left end', '5.6m');
        $this->sees('past the wall’s end');
        $this->sees('are from revision 3, the last that was sound');
        $this->sees('Front, door, from the left end: the opening ends');
        // It is drawn where it is said to be, in red.
        self::assertCount(1, $this->browser->findElements(WebDriverBy::cssSelector('[data-opening=d1] path[stroke="var(--signal)"]')));
        $this->type('from the left end', '3m');
        $this->saved(5);
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[aria-label=Faults]')));
    }

    public function testEveryScreenIsSoundOnADeskAndReadableOnAPhone(): void
    {
        $this->arrive();
        $this->find("//button[normalize-space()='Look round the demo']");
        $this->assertSound('welcome');
        $this->press('Look round the demo');
        $this->link('Weigh office');
        $this->assertSound('projects');
        $this->link('Weigh office')->click();
        $this->find("//*[@data-opening='w1']");
        $this->assertSound('shell');
        $this->press('whole front');
        $this->find("//h3[normalize-space()='Heights above the datum']");
        $this->assertSound('whole front');
        $this->press('plan');
        $this->find("//section[@aria-label='Materials']");
        $this->assertSound('materials');
        $building = $this->building();
        foreach ([
            'Prototype' => 'Drawing', 'Roof' => 'Drawing', 'Skin' => 'Drawing', 'Sheets' => 'Pages',
            'Bench' => 'Pieces',
        ] as $stage => $section) {
            $this->find("//nav[@aria-label='Stages']//a[.//*[normalize-space()='$stage']]")->click();
            $this->find("//section[@aria-label='$section']");
            $this->assertSound($stage);
        }
        foreach (['history' => '//ol[contains(@class,"history")]/li', 'fit' => "//section[@aria-label='Joints']"] as $page => $shows) {
            $this->open("$building/$page");
            $this->find($shows);
            $this->assertSound($page);
        }
        $this->narrowToAPhone();
        foreach (['prototype', 'shell', 'roof', 'skin', 'sheets', 'bench'] as $stage) {
            $this->find("//nav[@aria-label='Stages']//a[contains(@href, '/$stage')]")->click();
            $this->find("//section[@aria-label='Drawing' or @aria-label='Pages' or @aria-label='Pieces']");
            self::assertLessThanOrEqual(500, $this->rightmost(), "$stage is wider than the phone");
        }
    }

    public function testProjectsAndBuildingsAreRenamedImportedAndRemoved(): void
    {
        $this->register('Guthlac');
        $this->type('New project', 'Harbour end', leave: false);
        $this->press('Begin the project');
        $this->press('Rename …');
        $this->type('Name of the project', 'Salt quay', leave: false);
        $this->press('Keep this name');
        $this->heading('Salt quay');
        $this->find("//input[@type='file']")
            ->setFileDetector(new LocalFileDetector)
            ->sendKeys(dirname(__DIR__, 2).'/tests/Buildings/weigh-office.json');
        $this->heading('The real building');
        $this->sees('74 joints close');
        $this->link('Projects')->click();
        $this->find("//button[@aria-label='Remove Weigh office …']")->click();
        $this->press('Remove Weigh office');
        $this->sees('No building in it yet.');
        $this->find("//button[@aria-label='Remove the project Salt quay …']")->click();
        $this->assertSound('a question before removing');
        $this->press('Remove the project');
        $this->heading('No project yet');
        $this->press('Sign out');
        $this->find("//button[normalize-space()='Sign in']");
    }

    public function testMetresAsWellAsFeet(): void
    {
        $this->beginBuilding('Hilda', 'Metric');
        $this->sees('18ft wide, 12ft deep');
        $this->link('Projects')->click();
        $this->find("//select[@id='units']/option[@value='metric']")->click();
        $this->link('New building')->click();
        $this->link('Prototype')->click();
        $this->sees('5.4864m wide, 3.6576m deep');
    }

    public function testNothingIsLoadedFromElsewhere(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $this->find("//*[@data-opening='w1']");
        $addresses = $this->browser->executeScript(
            'return performance.getEntriesByType("resource").map(e => new URL(e.name).origin).filter(o => o !== location.origin)',
        );
        self::assertSame([], $addresses);
        $size = $this->browser->executeScript(
            'return performance.getEntriesByType("resource").filter(e => e.name.endsWith(".js")).reduce((sum, e) => sum + e.encodedBodySize, 0)',
        );
        self::assertIsNumeric($size);
        self::assertLessThan(200_000, (int) $size, 'scripts, compressed');
    }
}
