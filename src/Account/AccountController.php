<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Lustrum\Record\Records;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class AccountController
{
    public function __construct(
        private Accounts $accounts,
        private SessionDescription $session,
        private Records $records,
        private Security $security,
        private EntityManagerInterface $em,
    ) {
    }

    /** Who is signed in; anybody may ask. */
    #[Route('/api/session', methods: ['GET'])]
    #[Answers(SessionView::class)]
    public function session(): JsonResponse
    {
        $user = $this->security->getUser();

        return new JsonResponse($this->session->of($user instanceof User ? $user : null));
    }

    /** Signs in; the authenticator has looked at e-mail and password before. */
    #[Route('/api/session', methods: ['POST'])]
    #[Answers(SessionView::class)]
    public function signIn(): JsonResponse
    {
        return $this->session();
    }

    /** Signs out. */
    #[Route('/api/session', methods: ['DELETE'])]
    #[Answers(null)]
    public function signOut(): JsonResponse
    {
        if ($this->security->getUser() !== null) {
            $this->security->logout(false);
        }

        return new JsonResponse(null, 204);
    }

    /** Makes the first account and its workspace; only while there is none. */
    #[Route('/api/first-account', methods: ['POST'])]
    #[Answers(SessionView::class)]
    public function first(#[MapRequestPayload] FirstAccountInput $input): JsonResponse
    {
        $user = $this->accounts->first($input);
        $this->security->login($user, SignInAuthenticator::class);

        return new JsonResponse($this->session->of($user), 201);
    }

    /** The people of a workspace. */
    #[Route('/api/workspaces/{id}/members', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[Answers(MemberView::class, list: true)]
    public function members(Uuid $id): JsonResponse
    {
        $members = $this->em->getRepository(Membership::class)->findBy(['workspace' => $this->records->workspace($id)], ['id' => 'ASC']);

        return new JsonResponse(array_map(static fn (Membership $m): MemberView => $m->view(), $members));
    }

    /** Lets somebody in, or changes a role. Leads only. */
    #[Route('/api/workspaces/{id}/members', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[Answers(MemberView::class)]
    public function letIn(Uuid $id, #[MapRequestPayload] MemberInput $input): JsonResponse
    {
        return new JsonResponse($this->accounts->letIn($this->ledWorkspace($id), $input->name, $input->email, $input->role, $input->password)->view());
    }

    /** Takes somebody out. What they wrote stays. Leads only. */
    #[Route('/api/workspaces/{id}/members/{person}', requirements: ['id' => Requirement::UUID, 'person' => Requirement::UUID], methods: ['DELETE'])]
    #[Answers(null)]
    public function letOut(Uuid $id, Uuid $person): JsonResponse
    {
        $membership = $this->em->getRepository(Membership::class)->findOneBy(['workspace' => $this->ledWorkspace($id), 'user' => $person]) ?? throw Problem::notFound();
        $this->accounts->letOut($membership);

        return new JsonResponse(null, 204);
    }

    private function ledWorkspace(Uuid $id): Workspace
    {
        $workspace = $this->records->workspace($id);
        if (!$this->security->isGranted(Access::Lead->value, $workspace)) {
            throw Problem::forbidden('Only a lead of the workspace can change who is in it.');
        }

        return $workspace;
    }
}
