<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Lustrum\Account\Access;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\SignInThrottle;
use Lustrum\Action\Run\OpeningPanels;
use Lustrum\Action\Run\Unblinding;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Domain\Trial\PanelView;
use Lustrum\Http\Account\SessionGuard;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotAllowed;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\TooOften;
use Lustrum\Sheet\Panel\PanelPage;
use Lustrum\Sheet\Panel\PanelPages;
use Lustrum\Sheet\Panel\RatePage;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** A blind panel: who serves, who rates, and the moment at which it is told which was which. */
final readonly class PanelController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private PanelPages $pages,
        private SessionGuard $sessions,
    ) {
    }

    /** For whoever prepares and serves. */
    #[Route('/api/panels/{id}/page', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(PanelPage::class)]
    public function page(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->pages->of($this->records->find(Panel::class, $id)));
    }

    /** For whoever rates: codes and questions, and nothing of what stands behind them. */
    #[Route('/api/panels/{id}/rate', requirements: self::ID, name: 'panel_rate', methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(RatePage::class, query: ['rater'])]
    public function rate(Uuid $id, Request $request): JsonResponse
    {
        return new JsonResponse($this->pages->rate($this->records->find(Panel::class, $id), $request->query->getString('rater')));
    }

    /** Tells which code was which; what was rated becomes runs, and what comes later is late. */
    #[Route('/api/panels/{id}/unblind', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(PanelView::class)]
    public function unblind(Uuid $id, #[Body] UnblindInput $input, Unblinding $unblinding): JsonResponse
    {
        $panel = $this->records->find(Panel::class, $id);
        $this->records->mustWrite($panel->workspace());

        return new JsonResponse($unblinding->unblind($panel, $input->version));
    }

    /** A lead must know which code is which before it is unblinded: only they see it, and it stays said beside the result. */
    #[Route('/api/panels/{id}/open', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Lead, Takes::Json)]
    #[Answers(PanelView::class)]
    public function open(Uuid $id, #[Body] OpenPanelInput $input, OpeningPanels $opening, CurrentUser $user, Security $security): JsonResponse
    {
        $panel = $this->records->find(Panel::class, $id);
        $me = $user->user();
        if ($me === null || !$security->isGranted(Access::Lead->value, $panel->workspace())) {
            throw NotAllowed::toOpen();
        }
        if ($panel->isOpenTo($me)) {
            return new JsonResponse($panel->view());
        }

        return Answer::written($opening->open($panel, $me, $input->because));
    }

    /** From here on this session reaches nothing but this panel's codes. */
    #[Route('/api/panels/{id}/hand-over', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer)]
    #[Answers(null)]
    public function handOver(Uuid $id): JsonResponse
    {
        $panel = $this->records->find(Panel::class, $id);
        $this->records->mustWrite($panel->workspace());
        $this->sessions->handOver($panel->id());

        return new JsonResponse(null, 204);
    }

    /** The member takes the device back, with the password. */
    #[Route('/api/panels/{id}/take-back', requirements: self::ID, name: 'panel_take_back', methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(null)]
    public function takeBack(Uuid $id, #[Body] TakeBackInput $input, CurrentUser $user, UserPasswordHasherInterface $hasher, SignInThrottle $throttle, Request $request): JsonResponse
    {
        $this->records->mustWrite($this->records->find(Panel::class, $id)->workspace());
        $me = $user->user() ?? throw NotThere::here();
        $wait = $throttle->attempt($me->email(), (string) $request->getClientIp());
        if ($wait > 0) {
            throw TooOften::signingIn($wait);
        }
        if (!$hasher->isPasswordValid($me, $input->password)) {
            throw Invalid::at('password', 'This is not the password of whoever handed this device over.');
        }
        $throttle->succeeded($me->email(), (string) $request->getClientIp());
        $this->sessions->handOver(null);

        return new JsonResponse(null, 204);
    }
}
