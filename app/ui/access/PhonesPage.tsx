import { Box, chakra } from "@chakra-ui/react";
import { chunk } from "es-toolkit";
import type { PhonesView } from "~/views/access/phones-view";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Page, PageName, Quiet } from "~/ui/theme/parts";
import { PeopleCard } from "./PeopleCard";

/** How the phones of the household reach the garden, and which are in. */
export function PhonesPage(view: PhonesView) {
  return (
    <Page>
      <PageName marginBottom="12px">Phones of the household</PageName>
      <Box display="grid" gap="14px">
        {view.address ? <Reached view={view} address={view.address} /> : <NotShared isLocked={view.isLocked} />}
        {view.isLocked && <PeopleCard people={view.people} personHere={view.personHere} />}
      </Box>
    </Page>
  );
}

function NotShared({ isLocked }: { isLocked: boolean }) {
  return (
    <Card title="Not shared yet">
      <p>The garden answers on this machine only. For the phones, in its folder on this machine:</p>
      <chakra.ol margin="8px 0 0" paddingLeft="22px" listStyleType="decimal" display="grid" gap="6px">
        {!isLocked && (
          <li>
            <code>./akmedon passphrase</code> asks for a passphrase, which the household shares.
          </li>
        )}
        <li>
          <code>./akmedon share</code> starts the garden for the phones of the household’s network, too.
        </li>
      </chakra.ol>
    </Card>
  );
}

function Reached({ view: { authority }, address }: { view: PhonesView; address: NonNullable<PhonesView["address"]> }) {
  return (
    <Card title="Bring in a phone">
      <Box display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "auto minmax(0, 1fr)" }} gap="14px 28px">
        <Code picture={address.picture} text={address.text} />
        <Box display="grid" gap="10px" alignContent="start">
          <p>
            The phone is on the same network as this machine. Its camera on the square opens the garden; or type the
            address. It asks for the passphrase once.
          </p>
          {authority ? (
            <>
              <p>
                The first time, the browser warns that it does not know who vouches for this address: this household
                does. Once the phone was told so it stays quiet:
              </p>
              <Fold summary="An Android phone">
                <Steps>
                  <li>
                    Open <b>{authority.at}</b>; where the browser warns, tap “Advanced”, then “Proceed”. A file is kept.
                  </li>
                  <li>
                    Settings, search for “CA certificate”; choose “Install anyway”, and the file in Downloads. The phone
                    warns that its traffic could be read: this file can vouch for addresses of home networks only.
                  </li>
                </Steps>
              </Fold>
              <Fold summary="An iPhone or iPad">
                <Steps>
                  <li>
                    Open <b>{authority.at}</b> in Safari; where it warns, tap “Show details”, “visit this website”.
                    Allow the profile.
                  </li>
                  <li>Settings, “Profile downloaded”, “Install”.</li>
                  <li>
                    Settings, General, About, “Certificate trust settings”: switch “Akmedon of this household” on.
                  </li>
                </Steps>
              </Fold>
              <Fold summary="A computer">
                <Steps>
                  <li>
                    Open <b>{authority.at}</b> and keep the file.
                  </li>
                  <li>In the browser’s settings search for “certificates”, “Authorities”, “Import”: for websites.</li>
                </Steps>
              </Fold>
              <Quiet>
                Before you trust it: the phone shows its SHA-256 fingerprint, which has to be this one, as the screen of
                the machine the garden runs on shows it. <Fingerprint text={authority.fingerprint} />
              </Quiet>
            </>
          ) : (
            <p>Its certificate is one that browsers know: they ask nothing.</p>
          )}
        </Box>
      </Box>
    </Card>
  );
}

const Steps = ({ children }: { children: React.ReactNode }) => (
  <chakra.ol paddingLeft="22px" listStyleType="decimal" display="grid" gap="6px" overflowWrap="anywhere">
    {children}
  </chakra.ol>
);

/** White under it by night as well: a camera reads dark on light. */
function Code({ picture, text }: { picture: string; text: string }) {
  return (
    <Box justifySelf={{ base: "center", md: "start" }} textAlign="center">
      <chakra.img
        src={picture}
        alt={`The address ${text} as a square for a camera`}
        width="220px"
        height="220px"
        background="white"
        borderRadius="8px"
      />
      <chakra.p fontWeight="700" overflowWrap="anywhere">
        {text}
      </chakra.p>
    </Box>
  );
}

/** In groups of four that are not broken, to be compared by eye. */
const Fingerprint = ({ text }: { text: string }) => (
  <chakra.code display="flex" flexWrap="wrap" columnGap="10px">
    {chunk(text.split(":"), 4).map((pairs, n) => (
      <span key={n}>{pairs.join(":")}</span>
    ))}
  </chakra.code>
);
