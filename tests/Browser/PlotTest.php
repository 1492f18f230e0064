<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The place on the layout, as a person gives it and moves about on it. */
final class PlotTest extends BrowserTestCase
{
    public function testABuildingIsGivenAPlaceMovedAndTriedAtAnotherScale(): void
    {
        $this->beginBuilding('Signe', 'Lamp room');
        $this->link('Plot')->click();
        $this->heading('On the layout');
        $this->press('Give it a place');
        $this->saved(2);
        $this->sees('to spare');
        $this->assertSound('the plot');
        // Pressed until it stands over the edge; presses within a second are one revision.
        $this->browser->executeScript('document.querySelector("svg.drawing").focus()');
        $this->keys(str_repeat(WebDriverKeys::ARROW_RIGHT, 30));
        $this->saved(3);
        $this->sees('too far out at the right side');
        $this->sees('does not fit');
        $this->press('Move it to where it fits');
        $this->saved(4);
        $this->sees('to spare');
        $this->find("//summary[normalize-space()='Tracks']")->click();
        $this->press('Add a track');
        $this->saved(5);
        $this->find("//*[@data-track='t1']");
        $this->press('scales');
        $this->sees('1 mm of card');
        $this->find("//tr[th='1:148']//button")->click();
        $this->saved(6);
        $this->sees('1:148');
        $material = $this->find("//label[.='a strip or sheet of']/following-sibling::input");
        $material->sendKeys('3/64in'.WebDriverKeys::ENTER);
        $this->sees('stands for 6.94 in');
        $this->assertSound('the scales');
    }

    public function testABuildingIsFittedToALengthAndASingleStepSwitchedOff(): void
    {
        $this->beginBuilding('Ragna', 'Lamp room');
        $this->link('Plot')->click();
        $this->press('give up');
        $this->sees('the building is modelled as it is');
        $this->find("//label[normalize-space()='wide']/preceding-sibling::input")->sendKeys('62mm'.WebDriverKeys::ENTER);
        $this->find("//section[@aria-label='Margins only']//button")->click();
        $this->saved(2);
        $this->sees('as it is modelled');
        $this->sees('Finished it is 62.0 mm wide');
        $this->assertSound('what is given up');
        $this->find("//input[@role='switch' or @type='checkbox'][following-sibling::label[contains(., 'margins')]]")->click();
        $this->saved(3);
        $this->find("//li[contains(@class, 'off')]");
    }

    public function testWhatNeverShowsIsLeftPlain(): void
    {
        $this->beginBuilding('Alva', 'Lamp room');
        $this->link('Plot')->click();
        $this->press('from the eye');
        $this->press('Say where it is seen from');
        $this->saved(2);
        $this->sees('never shows');
        $this->find("//tr[th='back']//button[.='Plain']")->click();
        $this->saved(3);
        $this->sees('it is plain');
        $this->assertSound('what shows');
        // Lines of sight, in section and in plan, with or without the way to the eye.
        $this->find("//*[name()='svg'][@aria-label='Lines of sight, in section']//*[@data-line='over']");
        $this->press('in plan');
        $this->find("//*[name()='svg'][@aria-label='Lines of sight, in plan']//*[@data-line='view']");
        $this->press('closer');
        $this->assertSound('lines of sight');
    }

    public function testABuildingIsMadeShallowerThanItLooks(): void
    {
        $this->beginBuilding('Runa', 'Lamp room');
        $this->link('Plot')->click();
        $this->press('depth');
        $this->press('Say where it is seen from');
        $this->saved(2);
        $this->sees('Everything is as deep as it is');
        $this->press('Build them shallower');
        $this->saved(3);
        $this->sees('all receding lines meet');
        $this->find("//*[name()='svg'][@aria-label='How it recedes, in plan']//*[@data-line='vanish']");
        $this->sees('joints close');
        $this->assertSound('the depth');
        // More than it may be is said at its field, and nothing is lost.
        $field = $this->find("//label[normalize-space()='is to look']/following-sibling::input");
        $field->sendKeys('20mm'.WebDriverKeys::ENTER);
        $this->saved(4);
        $this->sees('is no more than the true 25');
        $this->press('Undo');
        $this->saved(5);
        $this->press('Build them as deep as they are');
        $this->saved(6);
        $this->sees('Everything is as deep as it is');
    }

    public function testABuildingIsCutToLowRelief(): void
    {
        $this->beginBuilding('Torvald', 'Lamp room');
        $this->link('Plot')->click();
        $this->press('low relief');
        $this->sees('Everything that is left is true');
        $this->find("//section[@aria-label='Keep the ridge']//button")->click();
        $this->saved(2);
        $this->sees('as it is modelled');
        $this->find("//label[normalize-space()='its back']/following-sibling::select/option[.='plain card']")->click();
        $this->saved(3);
        $this->sees('joints close');
        $this->assertSound('low relief');
        $this->press('Model it whole');
        $this->saved(4);
        $this->sees('The building is modelled whole');
    }
}
