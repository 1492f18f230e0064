<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** Functions that are longer, or take more, than SizesTest allows, each with its reason. One that has become short is taken off. */
final class Exceptions
{
    private const READER = 'One object of the document, a key a line: cut up, its keys would stand in several places.';

    private const SWEEP = 'One walk along an outline, with what it has seen so far in its hands: its parts mean nothing alone.';

    private const PART = 'One part from its place to its sums and joints, in the order in which they follow from each other.';

    private const SENTENCES = 'Figures and the sentences they are told in, one after the other.';

    private const DRAWN = 'What one picture shows, in the order in which it is drawn.';

    private const TABLE = 'A table of columns, fields or kinds.';

    private const CASES = 'A list of cases.';

    private const JOURNEY = 'One story, step after step.';

    private const STEPS = 'Steps that each need the one before, and are named in it.';

    private const CASE = 'The columns of a table of cases.';

    private const PAIR = 'Two things that meet, each with what is asked of it, and how near they must come.';

    private const MADE_OF = 'What one thing is made of, called by name or in the order of its docblock.';

    private const INJECTED = 'What the framework hands in: the request, what its address names, and the actions.';

    private const PEN = 'A pen, and where it draws what.';

    private const PLACE = 'A place, what lies on either side of it, and how far.';

    public const LONG = [
        'app/Archive/Manifest.php::revision' => self::READER,
        'core/Building/BlockReader.php::read' => self::READER,
        'core/Building/BuildingReader.php::read' => self::READER,
        'core/Building/MethodsReader.php::read' => self::READER,
        'core/Building/Placing.php::relation' => self::READER,
        'core/Building/StarterShape.php::blocks' => self::TABLE,
        'core/Building/WallReader.php::read' => self::READER,
        'core/Compression/Lengths.php::along' => self::SWEEP,
        'core/Drawing/MockupDrawing.php::net' => self::DRAWN,
        'core/Drawing/SightView.php::overCut' => self::DRAWN,
        'core/Drawing/SightView.php::section' => self::DRAWN,
        'core/Field/Values.php::millimetres' => self::READER,
        'core/Fit/Compromise/Compromises.php::of' => self::SENTENCES,
        'core/Fit/Plot/Fit.php::checks' => self::SENTENCES,
        'core/Fit/Relief/ReliefChecks.php::of' => self::SENTENCES,
        'core/Fit/Relief/ReliefTable.php::view' => self::SENTENCES,
        'core/Fit/Sight/PerspectiveReport.php::all' => self::SENTENCES,
        'core/Fit/Sight/PerspectiveReport.php::texts' => self::SENTENCES,
        'core/Fit/Sight/SeenFaces.php::of' => self::SENTENCES,
        'core/Form/Envelope.php::cut' => self::SWEEP,
        'core/Form/OtherBlocks.php::in' => self::SWEEP,
        'core/Form/Overhangs.php::notches' => self::SWEEP,
        'core/Form/Perspective/Recession.php::view' => self::STEPS,
        'core/Form/Relief/BlockCut.php::piece' => self::SWEEP,
        'core/Form/Relief/OpeningsCut.php::of' => self::SWEEP,
        'core/Form/Relief/ReliefCut.php::cut' => self::STEPS,
        'core/Form/WallSection.php::cut' => self::SWEEP,
        'core/Geometry/Clip.php::cut' => self::SWEEP,
        'core/Geometry/Overlay.php::stretches' => self::SWEEP,
        'core/Output/Finder.php::named' => self::DRAWN,
        'core/Roof/LedgeParts.php::ledge' => self::PART,
        'core/Roof/Seats.php::underEaves' => self::PART,
        'core/Roof/Strips.php::make' => self::PART,
        'core/Roof/Strips.php::part' => self::PART,
        'core/Shell/BraceParts.php::place' => self::SWEEP,
        'core/Shell/FormFaults.php::checkPlace' => self::PART,
        'core/Shell/WallShape.php::of' => self::PART,
        'core/Skin/PaperParts.php::outline' => self::SWEEP,
        'core/Skin/PaperParts.php::paper' => self::PART,
        'core/Trim/DeepOpeningParts.php::papers' => self::PART,
        'core/Trim/DeepOpeningParts.php::part' => self::PART,
        'core/Trim/DeepOpeningPlace.php::within' => self::SWEEP,
        'core/Trim/GroundParts.php::parts' => self::PART,
        'database/migrations/2026_11_24_000001_create_people_and_projects.php::up' => self::TABLE,
        'tests/Api/MadeTest.php::testWhatIsPrintedGoesStaleWithTheEditThatChangesItAndOnlyThatIsPrintedAgain' => self::JOURNEY,
        'tests/Api/PlotTest.php::testScalesAndStockAreAnswered' => self::JOURNEY,
        'tests/Browser/InSpaceTest.php::testTheKitReallyStandsInSpace' => self::JOURNEY,
        'tests/Browser/KilledServersTest.php::testNothingAcknowledgedIsLost' => self::JOURNEY,
        'tests/Core/Building/Difference/DocumentDifferenceTest.php::provideEdits' => self::CASES,
        'tests/Core/Compression/CompressorTest.php::testAStoreyGoesWithAllThatIsInIt' => self::JOURNEY,
        'tests/Core/Fit/Plot/FitTest.php::provideBadPlots' => self::CASES,
        'tests/Core/Fit/Plot/ThrowTest.php::testAVehicleDrivenAlongComesAsNear' => self::JOURNEY,
        'tests/Core/Form/PerspectiveTest.php::provideFaults' => self::CASES,
        'tests/Core/Form/PerspectiveTest.php::testAStreet' => self::JOURNEY,
        'tests/Core/Form/ReliefTest.php::testAStackOnTheRoof' => self::JOURNEY,
        'tests/Core/Form/WorkedFormsTest.php::provideWhatCannotBe' => self::CASES,
        'tests/Core/Geometry/HullTest.php::testDistancesOfAnyTwoAreThoseOfTheirPoints' => self::JOURNEY,
        'tests/Core/Kit/MeetingBlocksTest.php::provideMeetings' => self::CASES,
        'tests/Support/BuildingGenerator.php::document' => self::JOURNEY,
    ];

    public const MANY_PARAMETERS = [
        'app/Actions/CreateBuilding.php::execute' => self::MADE_OF,
        'app/Actions/ImportProject.php::building' => self::MADE_OF,
        'app/Actions/ImportProject.php::row' => self::MADE_OF,
        'app/Actions/SaveRevision.php::first' => self::MADE_OF,
        'app/Actions/SaveRevision.php::write' => self::MADE_OF,
        'app/Http/Controllers/RevisionController.php::store' => self::INJECTED,
        'core/Building/Difference/DocumentDifference.php::add' => self::PLACE,
        'core/Building/Edit/EdgeEdit.php::put' => self::PLACE,
        'core/Building/Edit/QuickShape.php::of' => self::MADE_OF,
        'core/Building/OpeningRow.php::opening' => self::MADE_OF,
        'core/Building/StarterShape.php::block' => self::MADE_OF,
        'core/Compression/Remaker.php::wall' => self::MADE_OF,
        'core/Drawing/SheetFurniture.php::plain' => self::PEN,
        'core/Drawing/SightView.php::line' => self::PEN,
        'core/Fit/Compromise/Compromises.php::tried' => self::PLACE,
        'core/Fit/Plot/SideCheck.php::side' => self::PLACE,
        'core/Fit/Sight/InsideSeen.php::floorSeen' => self::PLACE,
        'core/Fit/Sight/InsideSeen.php::sideways' => self::PLACE,
        'core/Fit/Sight/SeenFaces.php::face' => self::PLACE,
        'core/Fit/Sight/SightLines.php::ends' => self::MADE_OF,
        'core/Fit/Sight/SightLines.php::topEdge' => self::MADE_OF,
        'core/Form/Crossings.php::of' => self::MADE_OF,
        'core/Form/EndedRoofs.php::runsOver' => self::PLACE,
        'core/Form/Envelope.php::of' => self::MADE_OF,
        'core/Form/OtherBlocks.php::slopes' => self::PLACE,
        'core/Form/PartyWalls.php::isLower' => self::PLACE,
        'core/Form/Profile.php::__construct' => self::MADE_OF,
        'core/Form/Relief/BlockCut.php::flank' => self::PLACE,
        'core/Form/RoofPlanes.php::of' => self::PLACE,
        'core/Form/SideNames.php::atPlane' => self::PLACE,
        'core/Form/SideNames.php::beginsAsideOf' => self::PLACE,
        'core/Form/SideNames.php::isClear' => self::PLACE,
        'core/Form/SideNames.php::of' => self::MADE_OF,
        'core/Form/SideNames.php::ownSide' => self::PLACE,
        'core/Form/Solid.php::of' => self::MADE_OF,
        'core/Form/Surfaces.php::apex' => self::PLACE,
        'core/Form/Surfaces.php::section' => self::MADE_OF,
        'core/Form/Surfaces.php::wall' => self::MADE_OF,
        'core/Geometry/OnePoint.php::of' => self::MADE_OF,
        'core/Geometry/Skeleton/Front.php::__construct' => self::MADE_OF,
        'core/Kit/DryFit/Contact.php::along' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::beside' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::clearance' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::compare' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::edgeOnFace' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::lap' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::meet' => self::PAIR,
        'core/Kit/DryFit/JointCheck.php::mitre' => self::PAIR,
        'core/Kit/DryFit/Massing/Massing.php::mass' => self::MADE_OF,
        'core/Kit/DryFit/Massing/Roofs.php::of' => self::MADE_OF,
        'core/Kit/DryFit/Massing/Slope.php::from' => self::MADE_OF,
        'core/Kit/Surface.php::endsOf' => self::PLACE,
        'core/Output/Finder.php::find' => self::PLACE,
        'core/Part/Meeting.php::along' => self::PAIR,
        'core/Part/Meeting.php::onFace' => self::PAIR,
        'core/Part/Outline.php::rectangle' => self::MADE_OF,
        'core/Part/Part.php::of' => self::MADE_OF,
        'core/Roof/BoardParts.php::hip' => self::PLACE,
        'core/Roof/BoardParts.php::part' => self::MADE_OF,
        'core/Roof/BoardParts.php::ridge' => self::PLACE,
        'core/Roof/FormerParts.php::part' => self::MADE_OF,
        'core/Roof/LeanRoom.php::isIn' => self::PLACE,
        'core/Roof/LeanRoom.php::meetsInPoint' => self::PAIR,
        'core/Roof/LedgeParts.php::ledge' => self::MADE_OF,
        'core/Roof/Panels.php::panel' => self::MADE_OF,
        'core/Roof/Strips.php::part' => self::MADE_OF,
        'core/Roof/Strips.php::shared' => self::PLACE,
        'core/Shell/BraceParts.php::isClear' => self::PLACE,
        'core/Shell/WallParts.php::butts' => self::PLACE,
        'core/Shell/WallShape.php::edge' => self::PLACE,
        'core/Shell/WallShape.php::of' => self::MADE_OF,
        'core/Shell/WallSpan.php::runsThrough' => self::PLACE,
        'core/Skin/PaperParts.php::paper' => self::PLACE,
        'core/Trim/DeepOpeningPlace.php::within' => self::PLACE,
        'core/Trim/DeepOpeningShape.php::__construct' => self::MADE_OF,
        'core/Trim/GroundParts.php::drawn' => self::PLACE,
        'core/Trim/GroundParts.php::parts' => self::PLACE,
        'tests/Core/Building/EditsTest.php::testMovesByBricksAndCourses' => self::CASE,
        'tests/Core/Building/StarterShapeTest.php::testItGoesTogetherInEveryWay' => self::CASE,
        'tests/Core/Compression/CompressorTest.php::row' => self::MADE_OF,
        'tests/Core/Compression/CompressorTest.php::testARowIsCountedAsItIs' => self::CASE,
        'tests/Core/Fit/ChecksTest.php::testRemarks' => self::CASE,
        'tests/Core/Fit/Sight/SightTest.php::cut' => self::MADE_OF,
        'tests/Core/Form/ReliefTest.php::cut' => self::CASE,
        'tests/Core/Form/ReliefTest.php::testAStackOnTheRoof' => self::CASE,
        'tests/Core/Kit/MeetingBlocksTest.php::block' => self::CASE,
        'tests/Core/PlotsTest.php::assertTopShows' => self::MADE_OF,
        'tests/Support/Kits.php::box' => self::CASE,
        'tests/Support/Plots/Driver.php::nearest' => self::MADE_OF,
        'tests/Support/Plots/Swept.php::alongside' => self::PLACE,
    ];
}
