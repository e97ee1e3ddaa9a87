package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class FormerAddressesTest {
    @Test
    void aPrintedCodeOrBookmarkLeadsToWhereThePageIsNow() {
        assertThat(FormerAddresses.now("/wirings/12/revisions/3")).contains("/assemblies/12/revisions/3");
        assertThat(FormerAddresses.now("/wirings")).contains("/assemblies");
        assertThat(FormerAddresses.now("/runs/7/wrong")).contains("/runs/7/diagnosis");
        assertThat(FormerAddresses.now("/runs/7/where")).contains("/runs/7/locate");
        assertThat(FormerAddresses.now("/bundle")).contains("/identify-cores");
        assertThat(FormerAddresses.now("/family")).contains("/compare-leads");
        assertThat(FormerAddresses.now("/test-day/4")).contains("/batch-test/4");
    }

    @Test
    void whatOnlyBeginsAlikeIsNotMoved() {
        assertThat(FormerAddresses.now("/wiringsx")).isEmpty();
        assertThat(FormerAddresses.now("/runs/7/diagnosis")).isEmpty();
        assertThat(FormerAddresses.now("/units/wirings")).isEmpty();
    }
}
