export const GET = () => new Response('ok');
