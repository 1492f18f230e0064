<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** Kinds of openings, begun with what is there, changed and put into walls as a person does it. */
final class KindsTest extends BrowserTestCase
{
    public function testAShippedKindIsTakenAndPutIntoAWall(): void
    {
        $this->beginBuilding('Hedda', 'Ship chandler');
        $this->find("//summary[.='Begin with one that is there already']")->click();
        // Its pictures are those of this building.
        $this->find("//*[@aria-label='Kinds to begin with']//button[contains(., 'Leaded lights')]//img");
        $this->assertSound('kinds to begin with');
        $this->press('Leaded lights');
        $this->saved(2);
        // Added is open, with its picture and what stands in it; a second press makes another one.
        $this->find("//img[@alt='Leaded lights, from outside']");
        $this->press('Leaded lights');
        $this->saved(3);
        self::assertCount(2, $this->browser->findElements(WebDriverBy::xpath("//summary[.='Leaded lights']")));
        $this->link('Shell')->click();
        $this->heading('Front, from outside');
        $this->press('Add Leaded lights');
        $this->saved(4);
        $this->sees('joints close');
    }

    public function testWhatIsBoughtHasItsOpeningMadeToFit(): void
    {
        $this->beginBuilding('Ingrid', 'Chain store');
        $this->link('Shell')->click();
        $this->press('Add sash');
        $this->saved(2);
        $this->link('Prototype')->click();
        $this->find("//summary[.='sash']")->click();
        $this->field('in it stands')->findElement(WebDriverBy::xpath("option[.='something bought']"))->click();
        $this->saved(3);
        $this->type('it is wide', '13.4mm');
        $this->saved(4);
        $this->sees('for what is bought its opening has to be');
        $this->press('Make its opening fit');
        $this->saved(5);
        $this->find("//body[not(contains(., 'One thing has to be put right'))]");
        $this->press('Undo');
        $this->sees('for what is bought its opening has to be');
        $this->press('Redo');
        $this->find("//body[not(contains(., 'One thing has to be put right'))]");
    }
}
