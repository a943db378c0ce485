<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Access;
use Lustrum\Account\ChangePasswordInput;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\FirstAccountInput;
use Lustrum\Account\MemberInput;
use Lustrum\Account\MemberView;
use Lustrum\Account\OwnPassword;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Action\Files\Quota;
use Lustrum\Action\People\Members;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\Page;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotAllowed;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Sheet\Log\LogSheet;
use Lustrum\Sheet\Log\LogSheets;
use Lustrum\Sheet\People\PeopleSheet;
use Lustrum\Sheet\People\PeopleSheets;
use Lustrum\Sheet\Storage\StorageSheet;
use Lustrum\Sheet\Storage\StorageSheets;
use Lustrum\Sheet\You\YouSheet;
use Lustrum\Sheet\You\YouSheets;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class AccountController
{
    public const SESSION = 'session';
    public const SIGN_OUT = 'sign_out';
    public const SIGN_IN = 'sign_in';

    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Members $members,
        private OwnPassword $passwords,
        private SessionDescription $session,
        private Records $records,
        private Security $security,
        private CurrentUser $user,
        private EntityManagerInterface $em,
    ) {
    }

    /** Who is signed in; anybody may ask. */
    #[Route('/api/session', name: self::SESSION, methods: ['GET'])]
    #[Needs(Who::Anyone)]
    #[Answers(SessionView::class)]
    public function session(): JsonResponse
    {
        return new JsonResponse($this->session->of($this->user->user()));
    }

    /** Signs in; the authenticator has looked at e-mail and password before. */
    #[Route('/api/session', name: self::SIGN_IN, methods: ['POST'])]
    #[Needs(Who::Anyone, Takes::Json)]
    #[Answers(SessionView::class)]
    public function signIn(): JsonResponse
    {
        return $this->session();
    }

    /** Signs out; the browser is told to forget what it holds, but for writes that still wait. */
    #[Route('/api/session', name: self::SIGN_OUT, methods: ['DELETE'])]
    #[Needs(Who::Anyone)]
    #[Answers(null)]
    public function signOut(SessionGuard $guard): JsonResponse
    {
        if ($this->security->getUser() !== null) {
            $guard->end();
            $this->security->logout(false);
        }

        return new JsonResponse(null, 204, ['Clear-Site-Data' => '"cache"']);
    }

    /** Makes the first account and its workspace; only while there is none. */
    #[Route('/api/first-account', methods: ['POST'])]
    #[Needs(Who::Anyone, Takes::Json)]
    #[Answers(SessionView::class)]
    public function first(#[Body] FirstAccountInput $input): JsonResponse
    {
        $user = $this->members->first($input);
        $this->security->login($user, SignInAuthenticator::class);

        return new JsonResponse($this->session->of($user), 201);
    }

    /** Changes one's own password; every other place where one is signed in is signed out. */
    #[Route('/api/password', methods: ['POST'])]
    #[Needs(Who::SignedIn, Takes::Json)]
    #[Answers(null)]
    public function password(#[Body] ChangePasswordInput $input, UserPasswordHasherInterface $hasher, SessionGuard $guard, ClockInterface $clock): JsonResponse
    {
        $user = $this->me();
        if (!$hasher->isPasswordValid($user, $input->present)) {
            // Sent twice, it is changed once: who waited in vain for an answer sends it again.
            if ($hasher->isPasswordValid($user, $input->new)) {
                return new JsonResponse(null, 204);
            }
            throw Invalid::at('present', 'This is not your present password.');
        }
        $this->passwords->mustNotBeOwn($input->new, $user);
        $user->changePassword($hasher->hashPassword($user, $input->new), $clock->now());
        foreach ($this->em->getRepository(SignedIn::class)->findBy(['user' => $user]) as $place) {
            if (!$guard->isHere($place)) {
                $place->endsByPassword();
            }
        }
        $this->members->changedPassword($user);
        $this->em->flush();

        return new JsonResponse(null, 204);
    }

    /** One's own account, and where one is signed in. */
    #[Route('/api/signed-in', methods: ['GET'])]
    #[Needs(Who::SignedIn)]
    #[Answers(YouSheet::class)]
    public function places(SessionGuard $guard, YouSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->of($this->me(), $guard->isHere(...)));
    }

    /** Signs out somewhere else. */
    #[Route('/api/signed-in/{id}', requirements: self::ID, methods: ['DELETE'])]
    #[Needs(Who::SignedIn)]
    #[Answers(null)]
    public function leave(Uuid $id): JsonResponse
    {
        $place = $this->em->find(SignedIn::class, $id);
        if ($place === null || $place->user() !== $this->me()) {
            throw NotThere::here();
        }
        $this->em->remove($place);
        $this->em->flush();

        return new JsonResponse(null, 204);
    }

    /** The people of a workspace. */
    #[Route('/api/workspaces/{id}/members', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(PeopleSheet::class)]
    public function members(Uuid $id, PeopleSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->of($this->records->workspace($id)));
    }

    /** Who signed in, who was let in, what was taken out and unblinded; ?after= goes on. Leads only. */
    #[Route('/api/workspaces/{id}/log', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Lead)]
    #[Answers(LogSheet::class, query: ['after'])]
    public function accessLog(Uuid $id, Request $request, LogSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->of($this->ledWorkspace($id), Page::after($request->query->getString('after'))));
    }

    /** What takes up the storage of a workspace. */
    #[Route('/api/workspaces/{id}/storage', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(StorageSheet::class)]
    public function storage(Uuid $id, StorageSheets $sheets, Quota $quota): JsonResponse
    {
        return new JsonResponse($sheets->of($this->records->workspace($id), $quota->bytes()));
    }

    /** Lets somebody in, or changes a role. Leads only. */
    #[Route('/api/workspaces/{id}/members', requirements: self::ID, methods: ['PUT'])]
    #[Needs(Who::Lead, Takes::Json)]
    #[Answers(MemberView::class)]
    public function letIn(Uuid $id, #[Body] MemberInput $input): JsonResponse
    {
        return new JsonResponse($this->members->letIn($this->ledWorkspace($id), $input)->view());
    }

    /** Takes somebody out. What they wrote stays. Leads only. */
    #[Route(
        '/api/workspaces/{id}/members/{person}', requirements: ['id' => Requirement::UUID, 'person' => Requirement::UUID],
        methods: ['DELETE'],
    )]
    #[Needs(Who::Lead)]
    #[Answers(null)]
    public function letOut(Uuid $id, Uuid $person): JsonResponse
    {
        $this->members->letOut($this->ledWorkspace($id), $person);

        return new JsonResponse(null, 204);
    }

    private function me(): User
    {
        return $this->user->user() ?? throw NotThere::here();
    }

    private function ledWorkspace(Uuid $id): Workspace
    {
        $workspace = $this->records->workspace($id);

        return $this->security->isGranted(Access::Lead->value, $workspace) ? $workspace : throw NotAllowed::toLead();
    }
}
