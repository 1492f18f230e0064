<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;

/** History, two tabs, a server that is gone, a session that has ended, and projects as files. */
final class NothingLostTest extends BrowserTestCase
{
    public function testHistorySaysWhatChangedAndGoesBackAlsoAfterAReload(): void
    {
        $building = $this->beginBuilding('Ingrid', 'History');
        $this->type('eaves above datum', '12ft');
        $this->saved(2);
        $this->type('width', '21ft');
        $this->saved(3);
        $this->browser->navigate()->refresh();
        $this->press('Undo');
        $this->saved(4);
        self::assertSame('18ft', $this->field('width')->getAttribute('value'));
        $this->press('Redo');
        $this->saved(5);
        self::assertSame('21ft', $this->field('width')->getAttribute('value'));
        $this->open("$building/history?from=1&to=3");
        $this->heading('Revision 1 and revision 3');
        $this->sees('width from 18ft to 21ft');
        $this->sees('eaves from 9ft 6in to 12ft');
        $this->sees('undone: width from 18ft to 21ft');
        // 3 ft / 76.2 = 12 mm.
        $this->sees('12.00 mm wider');
        self::assertCount(2, $this->browser->findElements(WebDriverBy::cssSelector('.side-by-side svg.drawing')));
        $this->find("//button[@aria-label='Name revision 2 …']")->click();
        $this->find("//input[@aria-label='Name of revision 2']")->sendKeys(['Tall one', WebDriverKeys::ENTER]);
        $this->find("//strong[normalize-space()='Tall one']");
        $this->press('Go back to 2');
        $this->saved(6);
        $this->sees('back to “Tall one”, revision 2');
        $this->open("$building/prototype");
        self::assertSame(
            ['18ft', '12ft'],
            [$this->field('width')->getAttribute('value'), $this->field('eaves above datum')->getAttribute('value')],
        );
        $this->assertQuiet('history');
    }

    public function testTwoTabsShowBothVersionsAndSingleChangesGoAcross(): void
    {
        $building = $this->beginBuilding('Edwin', 'Tabs');
        $first = $this->browser->getWindowHandle();
        $this->browser->switchTo()->newWindow();
        $this->open("$building/prototype");
        $this->type('eaves above datum', '12ft');
        $this->saved(2);
        $this->browser->switchTo()->window($first);
        $this->type('width', '21ft');
        $this->sees('This building was changed elsewhere: revision 2');
        $this->find("//section[@aria-label='Changed elsewhere']//li[normalize-space()='eaves from 9ft 6in to 12ft']");
        self::assertTrue($this->find("//label[contains(normalize-space(), 'width from 18ft to 21ft')]/input")->isSelected());
        $this->press('Take the ticked ones across');
        $this->saved(3);
        self::assertSame(
            ['21ft', '12ft'],
            [$this->field('width')->getAttribute('value'), $this->field('eaves above datum')->getAttribute('value')],
        );
        // The same field in both: mine is kept whole, theirs stays in the history.
        $this->browser->switchTo()->window($this->windows()[1]);
        $this->type('width', '30ft');
        $this->sees('they changed this too');
        $this->press('Keep mine whole');
        $this->saved(4);
        self::assertSame(
            ['30ft', '12ft'],
            [$this->field('width')->getAttribute('value'), $this->field('eaves above datum')->getAttribute('value')],
        );
        $this->open("$building/history");
        $this->sees('width from 21ft to 30ft');
    }

    public function testWithoutAServerOneGoesOnAndItIsSentAfterwards(): void
    {
        $this->beginBuilding('Jorunn', 'Away');
        Served::does('web-kill');
        try {
            $this->type('width', '22ft');
            $this->find("//*[@data-save='waiting']");
            $this->sees('One change waits in this tab');
            $this->find("//select/option[@value='1:87.1']")->click();
            $this->sees('2 changes wait in this tab');
            self::assertSame('22ft', $this->field('width')->getAttribute('value'), 'what was typed stays in its field');
        } finally {
            Served::does('web-up');
        }
        $this->saved(3);
        $this->find("//input[@value='1:87.1']");
        self::assertSame('22ft', $this->field('width')->getAttribute('value'));
    }

    public function testWhatWaitedSurvivesAnEndedSessionForTheSamePersonOnly(): void
    {
        $building = $this->beginBuilding('Kari', 'Session');
        $email = $this->browser->executeScript('return fetch("/api/me").then(r => r.json()).then(a => a.user.email)');
        self::assertIsString($email);
        $this->endSession();
        $this->find("//select/option[@value='1:87.1']")->click();
        $this->find("//form[@aria-label='Sign in again']");
        $this->sees('One change waits in this tab for Kari, and for nobody else.');
        // Somebody else signs in here meanwhile: what waits is not theirs to send.
        $other = strtolower('lars-'.bin2hex(random_bytes(4))).'@marrowmere.example';
        $this->browser->executeScript(<<<JS
            const token = () => decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
            const body = JSON.stringify({name: 'Lars', email: '$other', password: 'a long password'});
            const headers = () => ({'Accept': 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token()});
            return fetch('/api/me').then(() => fetch('/api/register', {method: 'POST', headers: headers(), body}));
            JS);
        $this->browser->navigate()->refresh();
        $this->heading('This is not here');
        $this->open('/');
        $this->heading('No project yet');
        $this->press('Sign out');
        $this->type('E-mail address', $email);
        $this->type('Password', 'a long password');
        $this->find("//form//button[normalize-space()='Sign in']")->click();
        $this->heading('Session');
        $this->open("$building/prototype");
        $this->saved(2);
        $this->find("//input[@value='1:87.1']");
    }

    public function testTheDemoIsEnteredAgainInTheMiddleOfWork(): void
    {
        $this->enterDemo();
        $this->link('Weigh office')->click();
        $this->link('Prototype')->click();
        $before = $this->field('eaves above datum')->getAttribute('value');
        $this->endSession();
        $this->find("//select/option[@value='1:87.1']")->click();
        $this->press('Enter the demo again and go on');
        $this->find("//*[@data-save='saved']");
        $this->sees('1:87.1');
        self::assertSame($before, $this->field('eaves above datum')->getAttribute('value'));
        $this->press('Undo');
        $this->find("//input[@value='1:76.2']");
    }

    public function testAProjectIsDownloadedWholeAndImported(): void
    {
        $this->beginBuilding('Magnus', 'Salt quay');
        $this->type('eaves above datum', '12ft');
        $this->saved(2);
        $this->link('Projects')->click();
        $this->link('Download it all')->click();
        $file = $this->downloaded('salt-quay.chartula.zip');
        self::assertStringContainsString('project.json', (new Process(['unzip', '-l', $file]))->mustRun()->getOutput());
        $this->find("//button[@aria-label='Remove the project Salt quay …']")->click();
        $this->press('Remove the project');
        $this->heading('No project yet');
        $this->find("//input[@aria-label='Project archive to import']")
            ->setFileDetector(new \Facebook\WebDriver\Remote\LocalFileDetector)
            ->sendKeys($file);
        $this->heading('Salt quay');
        $this->link('New building')->click();
        $this->link('History')->click();
        $this->sees('eaves from 9ft 6in to 12ft');
    }
}
